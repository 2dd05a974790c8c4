package app.jerboa.core.net;

/** What a subnet comes to: the numbers a person writes on the sheet. */
public record SubnetSum(
        Ipv4 network, Ipv4 broadcast, Ipv4 mask, Ipv4 firstHost, Ipv4 lastHost, long hosts) {
    public static SubnetSum of(Ipv4Subnet subnet) {
        Ipv4Range hosts = subnet.hosts();
        return new SubnetSum(
                subnet.network(),
                subnet.broadcast(),
                subnet.mask(),
                hosts.first(),
                hosts.last(),
                hosts.size());
    }
}
