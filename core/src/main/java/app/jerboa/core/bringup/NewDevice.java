package app.jerboa.core.bringup;

import app.jerboa.core.net.FactoryAddress;
import app.jerboa.core.net.Ipv4;
import app.jerboa.core.value.DeviceId;

/** A device still on its factory address, and where it is to go. */
public record NewDevice(DeviceId id, FactoryAddress factory, Ipv4 planned, int bootSeconds) {}
