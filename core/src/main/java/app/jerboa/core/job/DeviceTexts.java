package app.jerboa.core.job;

import app.jerboa.core.value.DeviceId;
import app.jerboa.core.value.Field;
import app.jerboa.core.value.Item;

/** Devices between their two forms. */
final class DeviceTexts {
    private DeviceTexts() {}

    static Device device(Item i, ProfileShelf shelf) {
        return new Device(
                new DeviceId(i.ref().id()),
                i.text(Field.NAME),
                shelf.find(i.text(Field.PROFILE)).orElseThrow(),
                i.text(Field.MAC),
                i.text(Field.SERIAL_NUMBER),
                i.text(Field.FIRMWARE),
                i.text(Field.CONDITION),
                i.text(Field.FORMAT_SET),
                JobItems.address(i, Field.ADDRESS),
                Integer.parseInt(i.text(Field.PREFIX)),
                JobItems.address(i, Field.GATEWAY),
                Boolean.parseBoolean(i.text(Field.RESERVED)),
                JobItems.idOrNone(i, Field.FITTED),
                new Device.Centre(
                        JobItems.number(i, Field.ALONG),
                        JobItems.number(i, Field.ALONG_ZOOMED),
                        JobItems.number(i, Field.ABOVE)),
                asSet(i),
                JobItems.address(i, Field.FOUND));
    }

    private static Device.AsSet asSet(Item i) {
        return new Device.AsSet(
                JobItems.number(i, Field.BAUD),
                i.text(Field.FRAMING),
                i.text(Field.SERIAL_PROTOCOL),
                Boolean.parseBoolean(i.text(Field.TERMINATOR)),
                Boolean.parseBoolean(i.text(Field.IR_OFF)),
                JobItems.number(i, Field.VIEWERS),
                JobItems.number(i, Field.STREAM_RATE));
    }

    static String text(Device d, Field field) {
        return switch (field) {
            case NAME -> d.name();
            case PROFILE -> d.profile().id();
            case MAC -> d.mac();
            case SERIAL_NUMBER -> d.serialNumber();
            case FIRMWARE -> d.firmware();
            case CONDITION -> d.condition();
            case FORMAT_SET -> d.format();
            case ADDRESS -> JobItems.orNone(d.address());
            case PREFIX -> Integer.toString(d.prefix());
            case GATEWAY -> JobItems.orNone(d.gateway());
            case RESERVED -> Boolean.toString(d.reserved());
            case FITTED -> JobItems.orNone(d.fitted());
            case ALONG -> JobItems.orNone(d.centre().along());
            case ALONG_ZOOMED -> JobItems.orNone(d.centre().alongZoomed());
            case ABOVE -> JobItems.orNone(d.centre().above());
            case FOUND -> JobItems.orNone(d.found());
            default -> text(d, d.asSet(), field);
        };
    }

    private static String text(Device d, Device.AsSet set, Field field) {
        return switch (field) {
            case BAUD -> JobItems.orNone(set.baud());
            case FRAMING -> set.framing();
            case SERIAL_PROTOCOL -> set.serialProtocol();
            case TERMINATOR -> Boolean.toString(set.terminator());
            case IR_OFF -> Boolean.toString(set.irOff());
            case VIEWERS -> JobItems.orNone(set.viewers());
            case STREAM_RATE -> JobItems.orNone(set.streamMbits());
            default -> throw JobItems.wrong(d.ref(), field);
        };
    }
}
