/** Serial control: what a line can carry. */
package app.jerboa.core.serial;
