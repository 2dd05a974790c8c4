/** Jobs as they are stored: loaded, kept by version, locked, made, put away. */
package app.jerboa.server.job;
