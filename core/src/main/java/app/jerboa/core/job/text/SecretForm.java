package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Secret;

/** A secret between its two forms; its value is sealed in both. */
final class SecretForm {
    static final ItemForm<Secret> FORM =
            ItemForm.of(ItemKind.SECRET, Secret.class, SecretForm::read)
                    .orNone(Field.SECRET_FOR, Secret::device)
                    .text(Field.SECRET_USE, Secret::use)
                    .text(Field.SECRET_NAME, Secret::name)
                    .text(Field.SEALED, Secret::sealed)
                    .text(Field.FINGERPRINT, Secret::fingerprint)
                    .text(Field.SECRET_ORIGIN, Secret::origin);

    private SecretForm() {}

    private static Secret read(Texts t) {
        return new Secret(
                t.id(),
                t.deviceOrNone(Field.SECRET_FOR),
                t.text(Field.SECRET_USE),
                t.text(Field.SECRET_NAME),
                t.text(Field.SEALED),
                t.text(Field.FINGERPRINT),
                t.text(Field.SECRET_ORIGIN));
    }
}
