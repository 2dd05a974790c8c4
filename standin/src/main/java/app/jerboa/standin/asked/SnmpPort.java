package app.jerboa.standin.asked;

import app.jerboa.core.profile.Protocol;
import app.jerboa.standin.device.DevicePort;
import app.jerboa.standin.device.Timers;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetSocketAddress;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.stream.Stream;
import org.snmp4j.CommandResponder;
import org.snmp4j.CommandResponderEvent;
import org.snmp4j.MessageDispatcherImpl;
import org.snmp4j.MessageException;
import org.snmp4j.PDU;
import org.snmp4j.Snmp;
import org.snmp4j.mp.MPv2c;
import org.snmp4j.mp.MPv3;
import org.snmp4j.mp.StatusInformation;
import org.snmp4j.security.AuthHMAC192SHA256;
import org.snmp4j.security.PrivAES128;
import org.snmp4j.security.SecurityLevel;
import org.snmp4j.security.SecurityProtocols;
import org.snmp4j.security.USM;
import org.snmp4j.security.UsmUser;
import org.snmp4j.smi.Address;
import org.snmp4j.smi.Integer32;
import org.snmp4j.smi.Null;
import org.snmp4j.smi.OID;
import org.snmp4j.smi.OctetString;
import org.snmp4j.smi.UdpAddress;
import org.snmp4j.smi.Variable;
import org.snmp4j.smi.VariableBinding;
import org.snmp4j.transport.DefaultUdpTransportMapping;

/**
 * The agent of a managed switch: v2c with the communities {@code public} to read and {@code
 * private} to set, v3 with the user {@code jerboa}, SHA-256 and AES.
 */
public final class SnmpPort implements DevicePort {
    public static final String READS = "public";
    public static final String SETS = "private";
    public static final String USER = "jerboa";
    public static final String AUTHENTICATION = "jerboa-authenticates";
    public static final String PRIVACY = "jerboa-keeps-private";

    private static final int MOST_REPETITIONS = 60;
    private static final int ON = 1;

    private final Snmp session;
    private final DefaultUdpTransportMapping transport;
    private final SwitchView.Hands hands;

    private SnmpPort(Snmp session, DefaultUdpTransportMapping udp, SwitchView.Hands hands) {
        this.session = session;
        this.transport = udp;
        this.hands = hands;
    }

    /**
     * @param at port 0 takes any free one
     */
    public static SnmpPort open(InetSocketAddress at, SwitchView.Hands hands) throws IOException {
        DefaultUdpTransportMapping udp =
                new DefaultUdpTransportMapping(new UdpAddress(at.getAddress(), at.getPort()));
        MessageDispatcherImpl dispatcher = new MessageDispatcherImpl();
        dispatcher.addMessageProcessingModel(new MPv2c());
        OctetString engine = new OctetString(MPv3.createLocalEngineID());
        SecurityProtocols protocols = SecurityProtocols.getInstance().addDefaultProtocols();
        protocols.addAuthenticationProtocol(new AuthHMAC192SHA256());
        USM usm = new USM(protocols, engine, 0);
        usm.addUser(
                new UsmUser(
                        new OctetString(USER),
                        AuthHMAC192SHA256.ID,
                        new OctetString(AUTHENTICATION),
                        PrivAES128.ID,
                        new OctetString(PRIVACY)));
        dispatcher.addMessageProcessingModel(new MPv3(usm));
        Snmp session = new Snmp(dispatcher, udp);
        SnmpPort port = new SnmpPort(session, udp, hands);
        session.addCommandResponder(port.responder());
        session.listen();
        return port;
    }

    private CommandResponder responder() {
        return new CommandResponder() {
            @Override
            public <A extends Address> void processPdu(CommandResponderEvent<A> event) {
                if (hands.tells() && event.getPDU() != null) {
                    answer(event);
                }
            }
        };
    }

    private <A extends Address> void answer(CommandResponderEvent<A> event) {
        PDU asked = event.getPDU();
        boolean v3 = event.getSecurityLevel() > SecurityLevel.NOAUTH_NOPRIV;
        String community = new OctetString(event.getSecurityName()).toString();
        boolean sets = v3 || community.equals(SETS);
        if (!sets && !community.equals(READS)) {
            return;
        }
        PDU answer = (PDU) asked.clone();
        answer.setType(PDU.RESPONSE);
        answer.setErrorStatus(PDU.noError);
        answer.setErrorIndex(0);
        answer.setVariableBindings(bindings(asked, answer, sets));
        event.setProcessed(true);
        try {
            event.getMessageDispatcher()
                    .returnResponsePdu(
                            event.getMessageProcessingModel(),
                            event.getSecurityModel(),
                            event.getSecurityName(),
                            event.getSecurityLevel(),
                            answer,
                            event.getMaxSizeResponsePDU(),
                            event.getStateReference(),
                            new StatusInformation());
        } catch (MessageException e) {
            // The asker is gone; there is nobody left to tell.
            Thread.onSpinWait();
        }
    }

    private List<VariableBinding> bindings(PDU asked, PDU answer, boolean sets) {
        NavigableMap<OID, Variable> all = SwitchObjects.of(hands.view());
        return switch (asked.getType()) {
            case PDU.GET -> asked.getAll().stream().map(b -> at(all, b.getOid())).toList();
            case PDU.GETNEXT -> asked.getAll().stream().map(b -> after(all, b.getOid())).toList();
            case PDU.GETBULK -> bulk(all, asked);
            case PDU.SET -> set(asked, answer, sets);
            default -> List.of();
        };
    }

    private static VariableBinding at(NavigableMap<OID, Variable> all, OID oid) {
        Variable value = all.get(oid);
        return new VariableBinding(oid, value == null ? Null.noSuchInstance : value);
    }

    private static VariableBinding after(NavigableMap<OID, Variable> all, OID oid) {
        Map.Entry<OID, Variable> next = all.higherEntry(oid);
        return next == null
                ? new VariableBinding(oid, Null.endOfMibView)
                : new VariableBinding(next.getKey(), next.getValue());
    }

    private static List<VariableBinding> bulk(NavigableMap<OID, Variable> all, PDU asked) {
        int repetitions = Math.min(MOST_REPETITIONS, Math.max(1, asked.getMaxRepetitions()));
        return asked.getAll().stream()
                .flatMap(
                        b ->
                                Stream.iterate(after(all, b.getOid()), n -> after(all, n.getOid()))
                                        .limit(repetitions))
                .toList();
    }

    private List<VariableBinding> set(PDU asked, PDU answer, boolean sets) {
        List<VariableBinding> all = List.copyOf(asked.getAll());
        for (int i = 0; i < all.size(); i++) {
            Optional<SwitchPort> port =
                    SwitchObjects.switched(all.get(i).getOid(), hands.view().ports());
            boolean number = all.get(i).getVariable() instanceof Integer32;
            boolean on = number && all.get(i).getVariable().toInt() == ON;
            if (!sets || port.isEmpty() || !number || !hands.port(port.get().name(), on)) {
                answer.setErrorStatus(sets ? PDU.notWritable : PDU.noAccess);
                answer.setErrorIndex(i + 1);
                return all;
            }
        }
        return all;
    }

    @Override
    public Protocol protocol() {
        return Protocol.SNMP;
    }

    @Override
    public int port() {
        return transport.getListenAddress().getPort();
    }

    /**
     * Later: closing waits for the thread that answers, and that may wait for whoever closes this.
     */
    @Override
    public void close() {
        Timers.SHARED.execute(this::shut);
    }

    private void shut() {
        try {
            session.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
