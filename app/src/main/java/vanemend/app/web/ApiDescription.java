package vanemend.app.web;

import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import java.util.Optional;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.JavaType;

/** Says in the API's description what the records say in Java: a component that is no Optional is always there, unless it is a draft. */
@Configuration
class ApiDescription {
    @Bean
    OpenApiCustomizer title() {
        return api -> {
            api.setInfo(new Info().title("Vane Mend").version("1"));
            api.setServers(null);
        };
    }

    @Bean
    ModelConverter required() {
        return new ModelConverter() {
            @Override
            public Schema<?> resolve(
                    AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
                Schema<?> schema = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
                Class<?> raw = raw(type.getType());
                if (schema != null
                        && raw != null
                        && raw.isRecord()
                        && !raw.getSimpleName().endsWith("Draft")) {
                    Schema<?> named = schema.get$ref() == null
                            ? schema
                            : context.getDefinedModels()
                                    .get(schema.get$ref()
                                            .substring(schema.get$ref().lastIndexOf('/') + 1));
                    if (named != null) {
                        named.setRequired(Arrays.stream(raw.getRecordComponents())
                                .filter(c -> c.getType() != Optional.class)
                                .map(RecordComponent::getName)
                                .toList());
                    }
                }
                return schema;
            }
        };
    }

    private static Class<?> raw(java.lang.reflect.Type type) {
        if (type instanceof Class<?> c) {
            return c;
        }
        if (type instanceof JavaType j) {
            return j.getRawClass();
        }
        // The description's own library still carries the older data-binding types.
        return type instanceof com.fasterxml.jackson.databind.JavaType j ? j.getRawClass() : null;
    }
}
