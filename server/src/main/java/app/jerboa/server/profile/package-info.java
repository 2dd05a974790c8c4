/** Profiles: the facts of models, shipped as JSON. */
package app.jerboa.server.profile;
