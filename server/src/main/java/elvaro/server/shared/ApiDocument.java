package elvaro.server.shared;

import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Iterator;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.models.GroupedOpenApi;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The OpenAPI documents: that of the screens, from which the web app's types are made, and what all have in common. */
@Configuration
class ApiDocument {

    /** What other programs are promised has a document of its own. */
    @Bean
    GroupedOpenApi screensApi() {
        return GroupedOpenApi.builder()
                .group("screens")
                .pathsToExclude("/api/v1/**")
                .build();
    }

    @Bean
    OpenAPI elvaro() {
        return new OpenAPI().info(new Info().title("Elvaro").version("1"));
    }

    /** A record's component is required unless it is marked nullable; null ones are left out of answers. */
    @Bean
    ModelConverter requiredUnlessNullable() {
        return new ModelConverter() {
            @Override
            public @Nullable Schema<?> resolve(
                    AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
                if (!chain.hasNext()) {
                    return null;
                }
                Schema<?> schema = chain.next().resolve(type, context, chain);
                Class<?> raw = Json.mapper().constructType(type.getType()).getRawClass();
                Schema<?> model = raw.isRecord() ? context.getDefinedModels().get(name(raw)) : null;
                if (model != null) {
                    model.setRequired(null);
                    for (RecordComponent component : raw.getRecordComponents()) {
                        if (!component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                            model.addRequiredItem(component.getName());
                        }
                    }
                }
                return schema;
            }
        };
    }

    private static String name(Class<?> described) {
        var own = described.getAnnotation(io.swagger.v3.oas.annotations.media.Schema.class);
        return own == null || own.name().isEmpty() ? described.getSimpleName() : own.name();
    }
}
