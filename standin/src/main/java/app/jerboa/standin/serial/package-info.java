/** Serial lines and the devices on them, with the faults that leads, dials and terminals make. */
package app.jerboa.standin.serial;
