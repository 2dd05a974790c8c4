/** Octets and the outcome of decoding them. Imports the JDK only; nothing is null. */
package app.jerboa.wire.octets;
