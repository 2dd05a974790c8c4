/** People: sign-in, the first account, and who belongs to which job. */
package app.jerboa.server.people;
