/** What the pages show of a job, and what follows a change: views, patches, their routes. */
package app.jerboa.server.view;
