package app.jerboa.standin.picture;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.List;

/** A camera's menu in its own picture: white on black, the line it is at the other way round. */
public final class MenuPicture {
    private static final int DOT = 4;
    private static final int LINE = 40;
    private static final int LEFT = 60;
    private static final int TOP = 60;
    private static final int WIDTH = 620;
    private static final String MARK = "> ";

    private MenuPicture() {}

    /**
     * @param lines none for no menu; the one it is at begins with {@code >}
     */
    public static void draw(BufferedImage picture, List<String> lines) {
        if (lines.isEmpty()) {
            return;
        }
        Graphics2D g = picture.createGraphics();
        g.setColor(Color.BLACK);
        g.fillRect(LEFT - 20, TOP - 20, WIDTH, lines.size() * LINE + 30);
        for (int i = 0; i < lines.size(); i++) {
            boolean here = lines.get(i).startsWith(MARK);
            int top = TOP + i * LINE;
            g.setColor(Color.WHITE);
            if (here) {
                g.fillRect(LEFT - 10, top - 6, WIDTH - 20, LINE);
                g.setColor(Color.BLACK);
            }
            DotLetters.write(g, lines.get(i).substring(MARK.length()), LEFT, top, DOT);
        }
        g.dispose();
    }
}
