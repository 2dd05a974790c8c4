/** The kit: what there is to choose from, how many of what, and what leaves. */
package app.jerboa.server.kit;
