package app.jerboa.server.logbook;

import java.awt.geom.AffineTransform;

/** How a phone was held, by the orientation tag of Exif (0x0112), 1 to 8. */
enum Orientation {
    UPRIGHT(false, 1, 0, 0, 1),
    MIRRORED(false, -1, 0, 0, 1),
    UPSIDE_DOWN(false, -1, 0, 0, -1),
    MIRRORED_UPSIDE_DOWN(false, 1, 0, 0, -1),
    MIRRORED_LYING_LEFT(true, 0, 1, 1, 0),
    LYING_RIGHT(true, 0, 1, -1, 0),
    MIRRORED_LYING_RIGHT(true, 0, -1, -1, 0),
    LYING_LEFT(true, 0, -1, 1, 0);

    private static final int TAG = 0x0112;
    private static final int MOST_ENTRIES = 200;

    private final boolean swapsSides;
    private final int xx;
    private final int yx;
    private final int xy;
    private final int yy;

    /** Columns of the matrix: where the picture's right, then its down, goes. */
    Orientation(boolean swapsSides, int xx, int yx, int xy, int yy) {
        this.swapsSides = swapsSides;
        this.xx = xx;
        this.yx = yx;
        this.xy = xy;
        this.yy = yy;
    }

    boolean swapsSides() {
        return swapsSides;
    }

    /** From the picture as stored, of this size, to the picture as seen. */
    AffineTransform transform(int width, int height) {
        double left = (xx < 0 ? width : 0) + (xy < 0 ? height : 0);
        double top = (yx < 0 ? width : 0) + (yy < 0 ? height : 0);
        return new AffineTransform(xx, yx, xy, yy, left, top);
    }

    /** Of a JPEG file; upright when it does not say. */
    static Orientation of(byte[] file) {
        try {
            int at = 2;
            while (u16(file, at, false) != 0xFFDA && (u16(file, at, false) & 0xFF00) == 0xFF00) {
                if (u16(file, at, false) == 0xFFE1 && u16(file, at + 4, false) == 0x4578) {
                    return exif(file, at + 10);
                }
                at += 2 + u16(file, at + 2, false);
            }
        } catch (IndexOutOfBoundsException cutOff) {
            return UPRIGHT;
        }
        return UPRIGHT;
    }

    private static Orientation exif(byte[] file, int tiff) {
        boolean little = u16(file, tiff, false) == 0x4949;
        int list = tiff + u16(file, tiff + 4 + (little ? 0 : 2), little);
        int entries = Math.min(MOST_ENTRIES, u16(file, list, little));
        for (int i = 0; i < entries; i++) {
            int entry = list + 2 + 12 * i;
            if (u16(file, entry, little) == TAG) {
                int value = u16(file, entry + 8, little);
                return value >= 1 && value <= values().length ? values()[value - 1] : UPRIGHT;
            }
        }
        return UPRIGHT;
    }

    private static int u16(byte[] file, int at, boolean little) {
        int first = file[at] & 0xFF;
        int second = file[at + 1] & 0xFF;
        return little ? second << 8 | first : first << 8 | second;
    }
}
