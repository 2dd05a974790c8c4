package app.jerboa.core.video;

/** What an uncompressed picture takes over USB. */
public final class UsbRate {
    /** Usable of the 480 Mb/s of USB 2, in Mb/s. */
    public static final double USB_2 = 280;

    /** Usable of the 5 Gb/s of USB 3, in Mb/s. */
    public static final double USB_3 = 3200;

    private static final int BITS = 16;

    private UsbRate() {}

    /** In Mb/s, at 16 bits a pixel (4:2:2). */
    public static double megabits(PictureSize size) {
        return (double) size.width() * size.height() * size.fps() * BITS / 1e6;
    }
}
