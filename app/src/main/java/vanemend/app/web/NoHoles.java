package vanemend.app.web;

import com.fasterxml.jackson.annotation.Nulls;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** A list has no holes: nothing that is sent or kept stands for a thing that is none. */
@Component
class NoHoles implements JsonMapperBuilderCustomizer {
    @Override
    public void customize(JsonMapper.Builder builder) {
        builder.changeDefaultNullHandling(h -> h.withContentNulls(Nulls.FAIL));
    }
}
