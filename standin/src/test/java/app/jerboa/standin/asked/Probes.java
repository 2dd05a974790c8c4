package app.jerboa.standin.asked;

import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.MulticastSocket;
import java.net.NetworkInterface;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;

/** Probes of WS-Discovery as another program would send them. */
final class Probes {
    static final String MESSAGE = "urn:uuid:0a6dc791-2be6-4991-9af1-454778a1917a";
    private static final int TRIES = 40;

    private Probes() {}

    static String probe(String type) {
        String types = type.isEmpty() ? "" : "<d:Types>n:" + type + "</d:Types>";
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>"
                + "<e:Envelope xmlns:e=\"http://www.w3.org/2003/05/soap-envelope\""
                + " xmlns:w=\"http://schemas.xmlsoap.org/ws/2004/08/addressing\""
                + " xmlns:d=\"http://schemas.xmlsoap.org/ws/2005/04/discovery\""
                + " xmlns:n=\"http://www.onvif.org/ver10/network/wsdl\">"
                + "<e:Header><w:MessageID>"
                + MESSAGE
                + "</w:MessageID><w:To>urn:schemas-xmlsoap-org:ws:2005:04:discovery</w:To>"
                + "<w:Action>http://schemas.xmlsoap.org/ws/2005/04/discovery/Probe</w:Action></e:Header>"
                + "<e:Body><d:Probe>"
                + types
                + "</d:Probe></e:Body></e:Envelope>";
    }

    /** What comes back from the interface of an address; it is asked until somebody answers. */
    static String toAll(String from) throws Exception {
        InetAddress own = InetAddress.getByName(from);
        try (MulticastSocket socket = new MulticastSocket(new InetSocketAddress(own, 0))) {
            socket.setNetworkInterface(NetworkInterface.getByInetAddress(own));
            byte[] probe = probe("NetworkVideoTransmitter").getBytes(StandardCharsets.UTF_8);
            for (int i = 0; i < TRIES; i++) {
                socket.send(
                        new DatagramPacket(
                                probe,
                                probe.length,
                                InetAddress.getByName(DiscoveryPort.GROUP),
                                DiscoveryPort.PORT));
                String answer = answer(socket);
                if (!answer.isEmpty()) {
                    return answer;
                }
            }
        }
        return "";
    }

    private static String answer(DatagramSocket socket) throws Exception {
        socket.setSoTimeout(500);
        DatagramPacket packet = new DatagramPacket(new byte[65_536], 65_536);
        try {
            socket.receive(packet);
        } catch (SocketTimeoutException silent) {
            return "";
        }
        return new String(packet.getData(), 0, packet.getLength(), StandardCharsets.UTF_8);
    }
}
