/**
 * The D protocol of RS-485 heads: frames of seven octets, or of eight in the P variant. Imports
 * {@code octets} only; nothing is null.
 */
package app.jerboa.wire.dprotocol;
