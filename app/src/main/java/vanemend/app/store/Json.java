package vanemend.app.store;

import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Drafts and frozen plans as JSON text. */
@Component
public class Json {
    private final JsonMapper mapper;

    Json(JsonMapper mapper) {
        this.mapper = mapper;
    }

    /** As kept. */
    public String write(Object o) {
        return mapper.writeValueAsString(o);
    }

    /** As it was. */
    public <T> T read(String text, Class<T> type) {
        return mapper.readValue(text, type);
    }
}
