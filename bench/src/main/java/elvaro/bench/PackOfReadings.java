package elvaro.bench;

import java.io.ByteArrayOutputStream;
import java.time.Instant;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.dataformat.cbor.CBORMapper;

/** A pack of a reading a minute, RFC 8428, as probes write it: labels are words in JSON and numbers in CBOR. */
enum PackOfReadings {
    JSON {
        @Override
        JsonGenerator writing(ByteArrayOutputStream bytes) {
            return JsonMapper.shared().createGenerator(bytes);
        }

        @Override
        void label(JsonGenerator record, Label label) {
            record.writeName(label.word);
        }
    },
    CBOR {
        @Override
        JsonGenerator writing(ByteArrayOutputStream bytes) {
            return new CBORMapper().createGenerator(bytes);
        }

        @Override
        void label(JsonGenerator record, Label label) {
            record.writePropertyId(label.number);
        }
    };

    /** RFC 8428 section 6, table 4. */
    private enum Label {
        BASE_NAME("bn", -2),
        BASE_TIME("bt", -3),
        NAME("n", 0),
        UNIT("u", 1),
        VALUE("v", 2),
        TIME("t", 6);

        private final String word;
        private final int number;

        Label(String word, int number) {
            this.word = word;
            this.number = number;
        }
    }

    abstract JsonGenerator writing(ByteArrayOutputStream bytes);

    abstract void label(JsonGenerator record, Label label);

    /** @param first minute after {@code from}; {@code end} is none of it any more */
    byte[] of(Instant from, int first, int end) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (JsonGenerator pack = writing(bytes)) {
            pack.writeStartArray();
            for (int index = first; index < end; index++) {
                pack.writeStartObject();
                if (index == first) {
                    label(pack, Label.BASE_NAME);
                    pack.writeString("probe:");
                    label(pack, Label.BASE_TIME);
                    pack.writeNumber(from.getEpochSecond());
                }
                measured(pack, "t", "Cel", index, Math.round(Ingest.celsius(index) * 100) / 100.0);
                pack.writeStartObject();
                measured(pack, "h", "%RH", index, Math.round(Ingest.humidity(index) * 10) / 10.0);
            }
            pack.writeEndArray();
        }
        return bytes.toByteArray();
    }

    /** The rest of a record. */
    private void measured(JsonGenerator record, String name, String unit, int minute, double value) {
        label(record, Label.NAME);
        record.writeString(name);
        label(record, Label.UNIT);
        record.writeString(unit);
        label(record, Label.TIME);
        record.writeNumber(minute * 60L);
        label(record, Label.VALUE);
        record.writeNumber(value);
        record.writeEndObject();
    }
}
