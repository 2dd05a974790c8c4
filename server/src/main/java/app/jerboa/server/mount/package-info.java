/** How cameras are fixed, what they carry, and whether it is in balance. */
package app.jerboa.server.mount;
