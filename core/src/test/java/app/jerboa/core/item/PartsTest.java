package app.jerboa.core.item;

import static app.jerboa.core.item.ItemKind.DEVICE;
import static app.jerboa.core.item.ItemKind.RUN;
import static app.jerboa.core.item.ItemKind.SITE;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class PartsTest {
    private static final Item LEAD = new Item(new ItemRef(RUN, 7), Map.of());

    private static Edit edit(ItemKind kind, Field field) {
        return new Edit(new ItemRef(kind, 7), field, "1", "2");
    }

    @Test
    void anEditMeetsOnlyWhatLooksAtThatFieldOfThatKind() {
        Parts length = Parts.touchedBy(ChangeSet.edits(List.of(edit(RUN, Field.METRES))));
        Parts joined = Parts.of(SITE, DEVICE, RUN).without(RUN, Field.METRES);
        assertThat(length.meets(Parts.of(DEVICE, RUN))).isTrue();
        assertThat(length.meets(Parts.of(SITE, DEVICE))).isFalse();
        assertThat(length.meets(joined)).isFalse();
        assertThat(length.meets(joined.with(RUN))).isTrue();
        assertThat(length.meets(Parts.all())).isTrue();
    }

    @Test
    void whatComesOrGoesTouchesTheWholeKind() {
        Parts joined = Parts.of(DEVICE, RUN).without(RUN, Field.METRES);
        Parts renamed = Parts.touchedBy(ChangeSet.edits(List.of(edit(DEVICE, Field.NAME))));
        assertThat(Parts.touchedBy(ChangeSet.adding(LEAD)).meets(joined)).isTrue();
        assertThat(Parts.touchedBy(ChangeSet.removing(LEAD)).meets(joined)).isTrue();
        assertThat(renamed.kinds()).containsExactly(DEVICE);
        assertThat(renamed.fields(DEVICE)).containsExactly(Field.NAME);
        assertThat(Parts.touchedBy(ChangeSet.NONE).meets(Parts.all())).isFalse();
    }
}
