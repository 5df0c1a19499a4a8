package elvaro.server.guard;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import elvaro.server.support.AsWritten;
import jakarta.validation.constraints.Size;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.AnnotatedParameterizedType;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.web.bind.annotation.RequestBody;

class BoundedFormsTest {
    private final Set<Class<?>> seen = new HashSet<>();
    private final Set<String> unbounded = new TreeSet<>();

    @Test
    void whatever_a_form_lists_is_bounded() {
        new ClassFileImporter()
                .withImportOption(new AsWritten()).importPackages("elvaro.server").stream()
                        .flatMap(each -> Arrays.stream(each.reflect().getDeclaredMethods()))
                        .flatMap(method -> Arrays.stream(method.getParameters()))
                        .filter(parameter -> parameter.isAnnotationPresent(RequestBody.class))
                        .forEach(parameter -> look(parameter.getParameterizedType()));
        assertThat(seen).hasSizeGreaterThan(80);
        assertThat(unbounded).isEmpty();
    }

    private void look(Type type) {
        if (type instanceof ParameterizedType many) {
            Arrays.stream(many.getActualTypeArguments()).forEach(this::look);
        } else if (type instanceof Class<?> form && form.isRecord() && seen.add(form)) {
            for (RecordComponent part : form.getRecordComponents()) {
                check(form.getSimpleName() + "." + part.getName(), part, part.getAnnotatedType());
                look(part.getGenericType());
            }
        }
    }

    private void check(String name, AnnotatedElement where, AnnotatedType type) {
        Class<?> raw = type.getType() instanceof ParameterizedType many
                ? (Class<?>) many.getRawType()
                : type.getType() instanceof Class<?> plain ? plain : Object.class;
        boolean isMany = Collection.class.isAssignableFrom(raw) || Map.class.isAssignableFrom(raw);
        boolean isBounded = Stream.of(where, type)
                .flatMap(each -> Arrays.stream(each.getAnnotationsByType(Size.class)))
                .anyMatch(size -> size.max() < Integer.MAX_VALUE);
        boolean isOfChoices = raw != List.class // each but once
                && type.getType() instanceof ParameterizedType many
                && many.getActualTypeArguments()[0] instanceof Class<?> first
                && first.isEnum();
        if (isMany && !isBounded && !isOfChoices) {
            unbounded.add(name);
        }
        if (type instanceof AnnotatedParameterizedType parts) {
            for (AnnotatedType part : parts.getAnnotatedActualTypeArguments()) {
                check(name + "[]", part, part);
            }
        }
    }
}
