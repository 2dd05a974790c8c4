/** Bring-up: the run sheet carried out step by step, each step proved by asking. */
package app.jerboa.server.bringup;
