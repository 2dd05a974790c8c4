/**
 * Print-outs of other people's systems, pasted: what is in the house network, and where this laptop
 * is in it. Reads text only; asks no machine. Imports {@code net}. Nothing is ever null.
 */
package app.jerboa.core.net.paste;
