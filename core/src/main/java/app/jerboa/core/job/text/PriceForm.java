package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Price;

/** A price between its two forms. */
final class PriceForm {
    static final ItemForm<Price> FORM =
            ItemForm.of(ItemKind.PRICE, Price.class, PriceForm::read)
                    .text(Field.PRICED, Price::material)
                    .whole(Field.HUNDREDTHS, Price::hundredths);

    private PriceForm() {}

    private static Price read(Texts t) {
        return new Price(t.id(), t.text(Field.PRICED), t.whole(Field.HUNDREDTHS));
    }
}
