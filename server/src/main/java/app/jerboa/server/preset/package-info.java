/** Looks that are stored in cameras: kept with what was read, told in words. */
package app.jerboa.server.preset;
