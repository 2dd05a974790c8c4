package app.jerboa.core.job.cabling.drawing;

import app.jerboa.core.profile.Cable;

/** Cables as people in the field call them. */
public final class CableWords {
    private CableWords() {}

    public static String of(Cable cable) {
        return switch (cable) {
            case DATA -> "data";
            case PAIR -> "pair";
            case SERIAL -> "serial lead";
            case DC -> "DC pair";
            case COAX_RG6 -> "RG-6";
            case COAX_RG59 -> "RG-59";
            case COAX_MINI -> "mini coax";
            case HDMI -> "HDMI";
            case HDMI_ACTIVE -> "HDMI active";
            case USB_2 -> "USB 2";
            case USB_3 -> "USB 3";
            case USB_EXTENDER -> "USB extender";
            case FIBRE -> "fibre";
            case MULTICORE -> "multicore";
            case AUDIO -> "audio";
        };
    }
}
