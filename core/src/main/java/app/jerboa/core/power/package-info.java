/** Power over Ethernet and DC: what a run loses and what is left. Imports {@code value}. */
package app.jerboa.core.power;
