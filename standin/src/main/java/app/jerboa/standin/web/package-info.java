/** The web servers of simulated devices, as their profiles state them. */
package app.jerboa.standin.web;
