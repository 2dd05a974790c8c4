package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Subnet;
import app.jerboa.core.net.Ipv4Subnet;

/** A house subnet between its two forms. */
final class SubnetForm {
    static final ItemForm<Subnet> FORM =
            ItemForm.of(ItemKind.SUBNET, Subnet.class, SubnetForm::read)
                    .text(Field.SUBNET_NAME, Subnet::name)
                    .wholeOrNone(Field.VLAN, Subnet::vlan)
                    .value(Field.CIDR, Subnet::range)
                    .value(Field.SUBNET_GATEWAY, Subnet::gateway)
                    .value(Field.LAPTOP_HOME, Subnet::laptopHome);

    private SubnetForm() {}

    private static Subnet read(Texts t) {
        return new Subnet(
                t.id(),
                t.text(Field.SUBNET_NAME),
                t.wholeOrNone(Field.VLAN),
                Ipv4Subnet.parse(t.text(Field.CIDR)),
                t.address(Field.SUBNET_GATEWAY),
                t.address(Field.LAPTOP_HOME));
    }
}
