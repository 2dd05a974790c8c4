/** The virtual LAN: what is plugged in, what has booted, and what would answer to an address. */
package app.jerboa.standin.lan;
