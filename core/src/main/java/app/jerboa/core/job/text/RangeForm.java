package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.AddressRange;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.net.Ipv4Range;
import app.jerboa.core.value.Reason;

/** A range of addresses between its two forms. */
final class RangeForm {
    static final ItemForm<AddressRange> FORM =
            ItemForm.of(ItemKind.RANGE, AddressRange.class, RangeForm::read)
                    .text(Field.RANGE_USE, AddressRange::use)
                    .value(Field.FIRST, r -> r.range().first())
                    .value(Field.LAST, r -> r.range().last())
                    .text(Field.HOLDER, AddressRange::holder);

    private RangeForm() {}

    private static AddressRange read(Texts t) {
        Ipv4 first = t.address(Field.FIRST);
        Ipv4 last = t.address(Field.LAST);
        if (first.compareTo(last) > 0) {
            throw t.rejected(Field.LAST, Reason.of("text.downwards", "first", first));
        }
        return new AddressRange(
                t.id(), t.text(Field.RANGE_USE), new Ipv4Range(first, last), t.text(Field.HOLDER));
    }
}
