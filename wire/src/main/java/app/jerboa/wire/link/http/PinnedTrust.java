package app.jerboa.wire.link.http;

import java.net.Socket;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.CertificateException;
import java.security.cert.X509Certificate;
import java.util.HexFormat;
import java.util.Optional;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLEngine;
import javax.net.ssl.TrustManager;
import javax.net.ssl.X509ExtendedTrustManager;

/**
 * Certificates of devices are self-made: the first one seen is trusted and kept, another one is
 * not. An extended manager, since names on such certificates mean nothing either.
 */
final class PinnedTrust extends X509ExtendedTrustManager {
    /** The device shows another certificate than it did. */
    static final class OtherCertificate extends CertificateException {
        private static final long serialVersionUID = 1L;

        OtherCertificate() {
            super("another certificate than at first sight");
        }
    }

    private final Pins pins;

    private PinnedTrust(Pins pins) {
        this.pins = pins;
    }

    static SSLContext context(Pins pins) {
        try {
            SSLContext context = SSLContext.getInstance("TLS");
            context.init(null, new TrustManager[] {new PinnedTrust(pins)}, null);
            return context;
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    private void check(X509Certificate[] chain) throws CertificateException {
        String shown;
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(chain[0].getEncoded());
            shown = HexFormat.of().formatHex(digest);
        } catch (GeneralSecurityException e) {
            throw new CertificateException(e);
        }
        Optional<String> pinned = pins.pinned();
        pins.shown(shown);
        if (pinned.isEmpty()) {
            pins.pin(shown);
        } else if (!pinned.get().equals(shown)) {
            throw new OtherCertificate();
        }
    }

    @Override
    public void checkServerTrusted(X509Certificate[] chain, String type)
            throws CertificateException {
        check(chain);
    }

    @Override
    public void checkServerTrusted(X509Certificate[] chain, String type, Socket socket)
            throws CertificateException {
        check(chain);
    }

    @Override
    public void checkServerTrusted(X509Certificate[] chain, String type, SSLEngine engine)
            throws CertificateException {
        check(chain);
    }

    @Override
    public void checkClientTrusted(X509Certificate[] chain, String type)
            throws CertificateException {
        throw new CertificateException("nobody is a client here");
    }

    @Override
    public void checkClientTrusted(X509Certificate[] chain, String type, Socket socket)
            throws CertificateException {
        throw new CertificateException("nobody is a client here");
    }

    @Override
    public void checkClientTrusted(X509Certificate[] chain, String type, SSLEngine engine)
            throws CertificateException {
        throw new CertificateException("nobody is a client here");
    }

    @Override
    public X509Certificate[] getAcceptedIssuers() {
        return new X509Certificate[0];
    }
}
