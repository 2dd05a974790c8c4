/** The virtual LAN: who is plugged in, who has booted, and who would answer to an address. */
package app.jerboa.standin.lan;
