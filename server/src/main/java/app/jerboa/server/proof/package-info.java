/** What was seen of an installation: taken in, shown, and read together with the plan. */
package app.jerboa.server.proof;
