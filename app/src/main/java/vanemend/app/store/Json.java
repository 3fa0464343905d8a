package vanemend.app.store;

import org.springframework.stereotype.Component;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Drafts and frozen plans as JSON text. */
@Component
public class Json {
    private final JsonMapper mapper;

    /**
     * A plan started under an earlier release lacks the figures that came later: those read as 0, which says none. What only an earlier release
     * knew is passed over.
     */
    Json(JsonMapper mapper) {
        this.mapper = mapper.rebuild()
                .disable(
                        DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES,
                        DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .build();
    }

    /** As kept. */
    public String write(Object o) {
        return mapper.writeValueAsString(o);
    }

    /** As a tree, to be brought to today's format. */
    public ObjectNode tree(String text) {
        return (ObjectNode) mapper.readTree(text);
    }

    /** What a tree says. */
    public <T> T read(ObjectNode tree, Class<T> type) {
        return mapper.treeToValue(tree, type);
    }

    /** As it was. */
    public <T> T read(String text, Class<T> type) {
        return mapper.readValue(text, type);
    }
}
