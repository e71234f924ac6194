package org.oblume.server.support;

import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.type.TypeFactory;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.MediaType;

/**
 * Lets the OpenAPI document say what the Java types say: a record's part is required unless it is {@code @Nullable}, and
 * a sealed interface is one of its kinds. The interface's TypeScript types come from it.
 */
@Configuration(proxyBeanMethods = false)
class OpenApiConfiguration {

    private static final String PROBLEM = "Problem";

    /** The same document wherever the server runs. */
    @Bean
    OpenAPI title() {
        return new OpenAPI().info(new Info().title("Oblume").version("1")).servers(List.of(new Server().url("/")));
    }

    /** Every call can be refused; each kind of refusal has a type. */
    @Bean
    OpenApiCustomizer problems() {
        return document -> {
            StringSchema type = new StringSchema();
            for (ProblemType kind : ProblemType.values()) {
                type.addEnumItem(kind.uri().toString());
            }
            type.description(Arrays.stream(ProblemType.values())
                    .map(kind ->
                            "%s (%d): %s".formatted(kind.uri(), kind.status().value(), kind.title()))
                    .collect(Collectors.joining(".\n", "", ".")));
            ObjectSchema problem = new ObjectSchema();
            problem.addProperty("type", type);
            problem.addProperty("title", new StringSchema());
            problem.addProperty("status", new IntegerSchema());
            problem.addProperty("detail", new StringSchema().description("A sentence for the crew."));
            problem.addProperty("field", new StringSchema().description("The input at fault."));
            problem.addProperty(
                    "conflict",
                    new ObjectSchema()
                            .description("Of a conflict: what stands now. For a recorded value a ConflictingValue; "
                                    + "for anything else that thing as its own call answers it, or its version."));
            problem.setRequired(List.of("type", "title", "status", "detail"));
            document.getComponents().addSchemas(PROBLEM, problem);
            ApiResponse refused = new ApiResponse()
                    .description("Refused")
                    .content(new Content()
                            .addMediaType(
                                    MediaType.APPLICATION_PROBLEM_JSON_VALUE,
                                    new io.swagger.v3.oas.models.media.MediaType()
                                            .schema(new Schema<>().$ref(PROBLEM))));
            document.getPaths().values().forEach(path -> path.readOperations()
                    .forEach(call -> call.getResponses().addApiResponse("default", refused)));
        };
    }

    @Bean
    ModelConverter typesAsDeclared() {
        return new TypesAsDeclared();
    }

    private static final class TypesAsDeclared implements ModelConverter {

        @Override
        public @Nullable Schema<?> resolve(
                AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
            JavaType java = TypeFactory.defaultInstance().constructType(type.getType());
            Class<?> raw = java.getRawClass();
            if (raw == Slate.class) {
                return new StringSchema();
            }
            if (raw.isInterface() && raw.isSealed()) {
                return oneOf(raw, context);
            }
            Schema<?> schema = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
            if (schema != null && raw.isRecord()) {
                Schema<?> defined = schema.get$ref() == null
                        ? schema
                        : context.getDefinedModels().get(schema.get$ref().replaceFirst(".*/", ""));
                if (defined != null) {
                    defined.setRequired(requiredParts(raw));
                }
            }
            return schema;
        }

        private static Schema<?> oneOf(Class<?> raw, ModelConverterContext context) {
            Schema<?> any = new Schema<>().name(raw.getSimpleName());
            for (Class<?> kind : raw.getPermittedSubclasses()) {
                any.addOneOfItem(context.resolve(new AnnotatedType(kind).resolveAsRef(true)));
            }
            context.defineModel(raw.getSimpleName(), any);
            return new Schema<>().$ref(raw.getSimpleName());
        }

        private static List<String> requiredParts(Class<?> raw) {
            return Arrays.stream(raw.getRecordComponents())
                    .filter(part -> !isNullable(part))
                    .map(RecordComponent::getName)
                    .toList();
        }

        private static boolean isNullable(RecordComponent part) {
            return part.getAnnotatedType().isAnnotationPresent(Nullable.class);
        }
    }
}
