package elvaro.server.notice;

import elvaro.core.notice.NoticeText;
import jakarta.persistence.AttributeConverter;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/** What is told, as one column: it is written once and read as a whole. */
class NoticeTexts implements AttributeConverter<NoticeText, String> {
    @Override
    public @Nullable String convertToDatabaseColumn(@Nullable NoticeText text) {
        return text == null ? null : JsonMapper.shared().writeValueAsString(text);
    }

    @Override
    public @Nullable NoticeText convertToEntityAttribute(@Nullable String column) {
        return column == null ? null : JsonMapper.shared().readValue(column, NoticeText.class);
    }
}
