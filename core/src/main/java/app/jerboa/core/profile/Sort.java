package app.jerboa.core.profile;

import app.jerboa.core.value.Kebab;

/** What a device is, finer than what it is for: profiles of one sort stand beside each other. */
public enum Sort {
    CEILING_PTZ(DeviceKind.CAMERA),
    COMPACT_PTZ(DeviceKind.CAMERA),
    CINEMA_HEAD(DeviceKind.CAMERA),
    SHOULDER_CAMERA(DeviceKind.CAMERA),
    BOX_CAMERA(DeviceKind.CAMERA),
    GIMBAL_CAMERA(DeviceKind.CAMERA),
    DOME(DeviceKind.CAMERA),
    USB_CAMERA(DeviceKind.CAMERA),
    IP_STICK(DeviceKind.CONTROLLER),
    SERIAL_STICK(DeviceKind.CONTROLLER),
    HYBRID_STICK(DeviceKind.CONTROLLER),
    KEYBOARD_CONTROLLER(DeviceKind.CONTROLLER),
    PAINT_PANEL(DeviceKind.CONTROLLER),
    CONTROL_APP(DeviceKind.CONTROLLER),
    CONTROL_SOFTWARE(DeviceKind.CONTROLLER),
    IR_REMOTE(DeviceKind.CONTROLLER),
    MOTION_CONTROLLER(DeviceKind.CONTROLLER),
    GAME_PAD(DeviceKind.CONTROLLER),
    POE_SWITCH(DeviceKind.NETWORK_SWITCH),
    HOUSE_ROUTER(DeviceKind.ROUTER),
    WIRELESS_POINT(DeviceKind.LINK),
    SERIAL_SERVER(DeviceKind.LINK),
    TUNNEL_BOX(DeviceKind.LINK),
    MODEM(DeviceKind.LINK),
    CONTROL_BRIDGE(DeviceKind.LINK),
    ENCODER(DeviceKind.VIDEO),
    DECODER(DeviceKind.VIDEO),
    CONVERTER(DeviceKind.VIDEO),
    BASE_STATION(DeviceKind.VIDEO),
    RECORDER(DeviceKind.VIDEO),
    VIDEO_SWITCHER(DeviceKind.VIDEO),
    COMPUTER_SWITCHER(DeviceKind.VIDEO),
    USB_CAPTURE(DeviceKind.VIDEO),
    LAPTOP(DeviceKind.COMPUTER),
    MONITOR(DeviceKind.COMPUTER),
    LENS(DeviceKind.ACCESSORY),
    TELECONVERTER(DeviceKind.ACCESSORY),
    ZOOM_MOTOR(DeviceKind.ACCESSORY),
    STUDIO_ADAPTER(DeviceKind.ACCESSORY),
    NETWORK_ADAPTER(DeviceKind.ACCESSORY),
    BALUN_PAIR(DeviceKind.ACCESSORY),
    POE_SPLITTER(DeviceKind.ACCESSORY),
    POE_INJECTOR(DeviceKind.ACCESSORY),
    POWER_SUPPLY(DeviceKind.ACCESSORY),
    BATTERY(DeviceKind.ACCESSORY),
    STEP_DOWN(DeviceKind.ACCESSORY);

    private final DeviceKind kind;

    Sort(DeviceKind kind) {
        this.kind = kind;
    }

    public DeviceKind kind() {
        return kind;
    }

    @Override
    public String toString() {
        return Kebab.of(this);
    }
}
