/** Configuration, refusals, security: what every feature stands on. Sees no feature. */
package app.jerboa.server.platform;
