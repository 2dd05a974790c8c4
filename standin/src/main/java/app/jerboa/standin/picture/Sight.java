package app.jerboa.standin.picture;

import app.jerboa.standin.picture.HallScene.Place;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.List;

/**
 * How a camera sees: from where, which way, how wide.
 *
 * @param yaw degrees right of straight down the ice; {@code pitch} up of level
 * @param roll degrees clockwise, as it sees; 180 for one that hangs upside down
 * @param angle horizontal angle of view in degrees
 */
record Sight(Place from, double yaw, double pitch, double roll, double angle) {
    /** What is nearer than this, or behind, is cut off. */
    private static final double NEAR = 0.2;

    private record InView(double right, double up, double ahead) {}

    /** A flat shape in a picture of this size; empty when it is behind. */
    Path2D of(List<Place> corners, int width, int height) {
        double focal = width / 2.0 / Math.tan(Math.toRadians(angle) / 2);
        Path2D path = new Path2D.Double();
        boolean begun = false;
        for (InView p : inFront(corners)) {
            double x = width / 2.0 + p.right() / p.ahead() * focal;
            double y = height / 2.0 - p.up() / p.ahead() * focal;
            if (begun) {
                path.lineTo(x, y);
            } else {
                path.moveTo(x, y);
            }
            begun = true;
        }
        if (begun) {
            path.closePath();
        }
        if (roll != 0) {
            path.transform(
                    AffineTransform.getRotateInstance(
                            Math.toRadians(-roll), width / 2.0, height / 2.0));
        }
        return path;
    }

    /** Metres along the middle of the picture to as far as this place is. */
    double ahead(Place p) {
        return seen(p).ahead();
    }

    /**
     * Metres along the middle of the picture to as far as the floor is that this row shows;
     * infinite above the horizon. By the middle of the row for one that is rolled.
     *
     * @param row from the upper edge, of a picture of this size
     */
    double floorAhead(int row, int width, int height) {
        double focal = width / 2.0 / Math.tan(Math.toRadians(angle) / 2);
        double up = (height / 2.0 - row - 0.5) / focal * Math.cos(Math.toRadians(roll));
        double p = Math.toRadians(pitch);
        double falls = -(Math.sin(p) + up * Math.cos(p));
        return falls > 0 ? from.z() / falls : Double.POSITIVE_INFINITY;
    }

    /** Metres to what stands or lies in the middle of the picture; infinite for nothing. */
    double middle(List<HallScene.Shape> shapes) {
        double p = Math.toRadians(pitch);
        double down = -Math.sin(p);
        double nearest = down > 0 ? from.z() / down : Double.POSITIVE_INFINITY;
        for (HallScene.Shape shape : shapes) {
            if (shape.upright()) {
                nearest = Math.min(nearest, hit(shape.corners()));
            }
        }
        return nearest;
    }

    /** Metres to an upright rectangle, of which the first and the third corner lie across. */
    private double hit(List<Place> corners) {
        Place low = corners.get(0);
        Place high = corners.get(2);
        double p = Math.toRadians(pitch);
        double way = (low.y() - from.y()) / (Math.cos(Math.toRadians(yaw)) * Math.cos(p));
        double x = from.x() + way * Math.sin(Math.toRadians(yaw)) * Math.cos(p);
        double z = from.z() + way * Math.sin(p);
        boolean in = x >= low.x() && x <= high.x() && z >= low.z() && z <= high.z();
        return way > 0 && in ? way : Double.POSITIVE_INFINITY;
    }

    private InView seen(Place p) {
        double sy = Math.sin(Math.toRadians(yaw));
        double cy = Math.cos(Math.toRadians(yaw));
        double sp = Math.sin(Math.toRadians(pitch));
        double cp = Math.cos(Math.toRadians(pitch));
        double dx = p.x() - from.x();
        double dy = p.y() - from.y();
        double dz = p.z() - from.z();
        double level = dx * sy + dy * cy;
        return new InView(dx * cy - dy * sy, dz * cp - level * sp, level * cp + dz * sp);
    }

    private List<InView> inFront(List<Place> corners) {
        List<InView> kept = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            InView a = seen(corners.get(i));
            InView b = seen(corners.get((i + 1) % corners.size()));
            if (a.ahead() >= NEAR) {
                kept.add(a);
            }
            if (a.ahead() >= NEAR != b.ahead() >= NEAR) {
                double t = (NEAR - a.ahead()) / (b.ahead() - a.ahead());
                kept.add(
                        new InView(
                                a.right() + t * (b.right() - a.right()),
                                a.up() + t * (b.up() - a.up()),
                                NEAR));
            }
        }
        return kept;
    }
}
