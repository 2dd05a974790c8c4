/** The words of everything that Jerboa says: one catalogue, one formatter. Knows no feature. */
package app.jerboa.server.words;
