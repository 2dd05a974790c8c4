/** Passwords and keys of a job: encrypted where they lie, shown on request, told of in the log. */
package app.jerboa.server.secrets;
