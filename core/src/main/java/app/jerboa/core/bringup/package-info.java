/**
 * The run sheet: bringing new devices from their factory address to their planned one, one at a
 * time. Imports {@code value} and {@code net}.
 */
package app.jerboa.core.bringup;
