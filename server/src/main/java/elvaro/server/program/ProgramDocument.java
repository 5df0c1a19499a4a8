package elvaro.server.program;

import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.headers.Header;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.info.License;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.security.SecurityRequirement;
import io.swagger.v3.oas.models.security.SecurityScheme;
import io.swagger.v3.oas.models.servers.Server;
import io.swagger.v3.oas.models.tags.Tag;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springdoc.core.models.GroupedOpenApi;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The description of the API for other programs, by itself: that of the screens is theirs alone and changes with them. */
@Configuration
class ProgramDocument {
    private static final String PROBLEM = "application/problem+json";
    private static final String TOKEN = "token";

    /** Every refusal there may be, with an example of what it says. */
    private static final Map<String, String> REFUSALS = new TreeMap<>(Map.of(
            "401", "This token opens nothing here, or nothing any more. Make one in Settings under Programs.",
            "403", "This token does not open that. Its owner can make one that does, in Settings under Programs.",
            "404", "There is no such piece here.",
            "409", "It is cut already; nothing more is weighed.",
            "422", "Choose an end after the begin, at most 400 days on.",
            "429", "At most 300 requests a minute. Wait a minute; ask for more in one, or less often.",
            "503", "The database is away for a moment. Nothing was saved; try again."));

    @Bean
    GroupedOpenApi programsApi() {
        return GroupedOpenApi.builder()
                .group("programs")
                .pathsToMatch(ProgramSecurity.ROOT + "/**")
                .addOpenApiCustomizer(ProgramDocument::describe)
                .build();
    }

    private static void describe(OpenAPI document) {
        document.info(new Info()
                .title("Elvaro for other programs")
                .version("1")
                .description("Pieces, their logs, chambers and what is due, for programs that speak with a token of the"
                        + " house. Weights are grams, temperatures °C, moments UTC. A field that is here stays; others may"
                        + " come beside it, and kinds may be added to a list of kinds.")
                .license(new License().name("Apache-2.0").identifier("Apache-2.0")));
        document.servers(List.of(new Server().url("/").description("The house itself")));
        document.security(List.of(new SecurityRequirement().addList(TOKEN)));
        document.tags(List.of(
                tag("Pieces", "What hangs, hung, waits and was cut, with its log."),
                tag("Chambers", "Where it hangs, and the air there."),
                tag("Work", "What is to be done, and what is wrong."),
                tag("Exports", "The whole record as files.")));
        if (document.getComponents() == null) {
            document.components(new Components());
        }
        document.getComponents()
                .addSecuritySchemes(
                        TOKEN,
                        new SecurityScheme()
                                .type(SecurityScheme.Type.HTTP)
                                .scheme("bearer")
                                .description("Made in Settings under Programs, with the scopes it needs."))
                .addSchemas("Problem", problem());
        REFUSALS.forEach((status, sentence) ->
                document.getComponents().addResponses("Problem" + status, refusal(status, sentence)));
        document.getPaths().values().forEach(path -> path.readOperations().forEach(ProgramDocument::describe));
    }

    private static Tag tag(String name, String description) {
        return new Tag().name(name).description(description);
    }

    private static void describe(Operation operation) {
        REFUSALS.keySet()
                .forEach(status -> operation
                        .getResponses()
                        .addApiResponse(status, new ApiResponse().$ref("#/components/responses/Problem" + status)));
        boolean paged = operation.getParameters() != null
                && operation.getParameters().stream().anyMatch(each -> "page".equals(each.getName()));
        if (paged) {
            operation
                    .getResponses()
                    .get("200")
                    .addHeaderObject(
                            "Link",
                            new Header()
                                    .description("The pages beside this one, RFC 8288.")
                                    .schema(new StringSchema()))
                    .addHeaderObject(
                            Paged.TOTAL,
                            new Header()
                                    .description("How many there are in all.")
                                    .schema(new IntegerSchema()));
        }
    }

    /** RFC 9457. */
    private static Schema<?> problem() {
        return new ObjectSchema()
                .description("What was refused and why, RFC 9457. The sentence in detail can be shown to a person.")
                .addProperty("type", new StringSchema().description("Which refusal it is; stays the same."))
                .addProperty("title", new StringSchema())
                .addProperty("status", new IntegerSchema())
                .addProperty("detail", new StringSchema())
                .addProperty("instance", new StringSchema())
                .addProperty("field", new StringSchema().description("The field it is about, if it is about one."))
                .required(List.of("status", "detail"));
    }

    private static ApiResponse refusal(String status, String sentence) {
        return new ApiResponse()
                .description(sentence)
                .content(new Content()
                        .addMediaType(
                                PROBLEM,
                                new MediaType()
                                        .schema(new Schema<>().$ref("#/components/schemas/Problem"))
                                        .example(Map.of("status", Integer.valueOf(status), "detail", sentence))));
    }
}
