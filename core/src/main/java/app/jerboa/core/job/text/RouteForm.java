package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.ChosenRoute;

/** A chosen control route between its two forms. */
final class RouteForm {
    static final ItemForm<ChosenRoute> FORM =
            ItemForm.of(ItemKind.ROUTE, ChosenRoute.class, RouteForm::read)
                    .value(Field.ROUTE_LINE, ChosenRoute::line)
                    .value(Field.ROUTE_FUNCTION, ChosenRoute::function)
                    .value(Field.ROUTE_BY, ChosenRoute::controller)
                    .text(Field.ROUTE_PROTOCOL, ChosenRoute::protocol)
                    .orNone(Field.ROUTE_VIA, ChosenRoute::through);

    private RouteForm() {}

    private static ChosenRoute read(Texts t) {
        return new ChosenRoute(
                t.id(),
                Long.parseLong(t.text(Field.ROUTE_LINE)),
                t.function(Field.ROUTE_FUNCTION),
                t.device(Field.ROUTE_BY),
                t.text(Field.ROUTE_PROTOCOL),
                t.deviceOrNone(Field.ROUTE_VIA));
    }
}
