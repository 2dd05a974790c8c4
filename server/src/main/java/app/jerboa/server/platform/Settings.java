package app.jerboa.server.platform;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * Settings of this installation.
 *
 * @param rigUrl where the stand-in rig's control interface is; empty for none
 * @param serverName what tells this server process from others on the same database; the same again
 *     after a restart
 * @param demoPassword password of the demo account; empty when this is no demo
 * @param secretKey what stored secrets are encrypted with, kept outside the database; empty when
 *     none was given
 * @param firstCode what must be typed to make the first account; empty when none is needed
 * @param liveAllow ranges in which devices of the live network may be contacted, beside the private
 *     ones; commas between
 */
@ConfigurationProperties("jerboa")
public record Settings(
        String rigUrl,
        String serverName,
        String demoPassword,
        String secretKey,
        String firstCode,
        String liveAllow) {
    public boolean demo() {
        return !demoPassword.isEmpty();
    }

    @Override
    public String toString() {
        return "Settings[rigUrl=" + rigUrl + ", demo=" + demo() + "]";
    }
}
