/**
 * IPv4 planning for one control LAN: addresses, blocks per role, the plan and its checks. Imports
 * {@code value} and the JDK only. Nothing is null.
 */
package app.jerboa.core.net;
