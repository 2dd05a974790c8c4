/**
 * Values every discipline shares: ids, lengths, refused text, the world's clock. Imports the JDK
 * only. Nothing here is ever null: absent values are {@link java.util.Optional} or an empty string
 * where a person's text may be blank.
 */
package app.jerboa.core.value;
