package app.jerboa.server.job;

import static org.assertj.core.api.Assertions.assertThat;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.Item;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.item.ItemRef;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

class ItemTextsTest {
    private static final Item POOL =
            new Item(
                    new ItemRef(ItemKind.RANGE, 3),
                    Map.of(Field.RANGE_USE, "pool", Field.FIRST, "10.44.8.100"));
    private static final Item TAKEN =
            new Item(
                    new ItemRef(ItemKind.RANGE, 9_000_000_000L),
                    Map.of(Field.RANGE_USE, "taken", Field.HOLDER, "the till, \"front\" \\ Öre"));

    private final ItemTexts texts = new ItemTexts(JsonMapper.builder().build());

    @Test
    void readsWhatIsStored() {
        assertThat(
                        texts.read(
                                """
                                [[3, "range", {"use": "pool", "first": "10.44.8.100"}],
                                 [9000000000, "range",
                                  {"use": "taken", "holder": "the till, \\"front\\" \\\\ Öre"}]]
                                """))
                .isEqualTo(List.of(POOL, TAKEN));
    }

    @Test
    void readsNothingFromNothing() {
        assertThat(texts.read("[]")).isEmpty();
    }

    /** Stored by a later version of the product. */
    @ParameterizedTest
    @ValueSource(strings = {"\"text\"", "7", "null", "{\"use\": \"taken\"}", "[[\"use\"], {}]"})
    void passesOverAFieldThatItDoesNotKnow(String value) {
        assertThat(
                        texts.read(
                                "[[3,\"range\",{\"use\":\"pool\",\"hue\":%s,\"first\":\"10.44.8.100\"}]]"
                                        .formatted(value)))
                .isEqualTo(List.of(POOL));
    }

    @Test
    void writesNoFieldThatStandsAsItStarts() {
        assertThat(texts.write(List.of(POOL)))
                .isEqualTo(
                        "[{\"id\":3,\"kind\":\"range\",\"texts\":{\"use\":\"pool\",\"first\":\"10.44.8.100\"}}]");
    }
}
