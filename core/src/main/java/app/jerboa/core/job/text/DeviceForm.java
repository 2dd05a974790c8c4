package app.jerboa.core.job.text;

import app.jerboa.core.item.Field;
import app.jerboa.core.item.ItemKind;
import app.jerboa.core.job.Device;
import app.jerboa.core.job.ProfileShelf;
import app.jerboa.core.job.SoftLimit;
import app.jerboa.core.job.Steering;
import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Reason;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/** A device between its two forms. */
final class DeviceForm {
    static final ItemForm<Device> FORM =
            ItemForm.withShelf(ItemKind.DEVICE, Device.class, DeviceForm::read)
                    .text(Field.NAME, Device::name)
                    .text(Field.PROFILE, d -> d.profile().id())
                    .text(Field.MAC, Device::mac)
                    .text(Field.SERIAL_NUMBER, Device::serialNumber)
                    .text(Field.FIRMWARE, Device::firmware)
                    .text(Field.CONDITION, Device::condition)
                    .text(Field.FORMAT_SET, Device::format)
                    .orNone(Field.ADDRESS, Device::address)
                    .whole(Field.PREFIX, Device::prefix)
                    .orNone(Field.GATEWAY, Device::gateway)
                    .value(Field.RESERVED, Device::reserved)
                    .orNone(Field.FITTED, Device::fitted)
                    .wholeOrNone(Field.ALONG, d -> d.centre().along())
                    .wholeOrNone(Field.ALONG_ZOOMED, d -> d.centre().alongZoomed())
                    .wholeOrNone(Field.ABOVE, d -> d.centre().above())
                    .wholeOrNone(Field.BAUD, d -> d.asSet().baud())
                    .text(Field.FRAMING, d -> d.asSet().framing())
                    .text(Field.SERIAL_PROTOCOL, d -> d.asSet().serialProtocol())
                    .value(Field.TERMINATOR, d -> d.asSet().terminator())
                    .value(Field.IR_OFF, d -> d.asSet().irOff())
                    .wholeOrNone(Field.VIEWERS, d -> d.asSet().viewers())
                    .wholeOrNone(Field.STREAM_RATE, d -> d.asSet().streamMbits())
                    .value(Field.PAN_ROUND, d -> d.steering().panRound())
                    .value(Field.TILT_ROUND, d -> d.steering().tiltRound());

    static {
        for (SoftLimit limit : SoftLimit.values()) {
            FORM.wholeOrNone(limit.field(), d -> d.steering().softLimit(limit));
        }
    }

    private DeviceForm() {}

    private static Device read(Texts t, ProfileShelf shelf) {
        return new Device(
                new DeviceId(t.id()),
                t.text(Field.NAME),
                shelf.find(t.text(Field.PROFILE)).orElseThrow(),
                t.text(Field.MAC),
                t.text(Field.SERIAL_NUMBER),
                t.text(Field.FIRMWARE),
                t.text(Field.CONDITION),
                t.text(Field.FORMAT_SET),
                t.addressOrNone(Field.ADDRESS),
                t.whole(Field.PREFIX),
                t.addressOrNone(Field.GATEWAY),
                t.flag(Field.RESERVED),
                t.deviceOrNone(Field.FITTED),
                new Device.Centre(
                        t.wholeOrNone(Field.ALONG),
                        t.wholeOrNone(Field.ALONG_ZOOMED),
                        t.wholeOrNone(Field.ABOVE)),
                asSet(t),
                steering(t),
                Optional.empty());
    }

    private static Device.AsSet asSet(Texts t) {
        return new Device.AsSet(
                t.wholeOrNone(Field.BAUD),
                t.text(Field.FRAMING),
                t.text(Field.SERIAL_PROTOCOL),
                t.flag(Field.TERMINATOR),
                t.flag(Field.IR_OFF),
                t.wholeOrNone(Field.VIEWERS),
                t.wholeOrNone(Field.STREAM_RATE));
    }

    private static Steering steering(Texts t) {
        Map<SoftLimit, Integer> limits = new EnumMap<>(SoftLimit.class);
        for (SoftLimit limit : SoftLimit.values()) {
            t.wholeOrNone(limit.field()).ifPresent(l -> limits.put(limit, l));
        }
        insistBelow(t, limits, SoftLimit.LEFT, SoftLimit.RIGHT, Reason.of("text.limit-right"));
        insistBelow(t, limits, SoftLimit.DOWN, SoftLimit.UP, Reason.of("text.limit-above"));
        insistBelow(
                t,
                limits,
                SoftLimit.ROLL_LEFT,
                SoftLimit.ROLL_RIGHT,
                Reason.of("text.limit-right"));
        insistBelow(t, limits, SoftLimit.RAIL_FROM, SoftLimit.RAIL_TO, Reason.of("text.limit-on"));
        return new Steering(t.flag(Field.PAN_ROUND), t.flag(Field.TILT_ROUND), limits);
    }

    private static void insistBelow(
            Texts t, Map<SoftLimit, Integer> limits, SoftLimit low, SoftLimit high, Reason where) {
        if (limits.containsKey(low)
                && limits.containsKey(high)
                && limits.get(low) >= limits.get(high)) {
            throw t.rejected(high.field(), where);
        }
    }
}
