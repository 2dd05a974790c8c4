/** Pictures of cameras, fetched for the pages. */
package app.jerboa.server.picture;
