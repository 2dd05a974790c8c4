/** Reads what a network switch tells by SNMP v2c: its ports, and who is heard at each. */
package app.jerboa.wire.link.snmp;
