/** What goes wrong in a hall: on a seed, or by hand. */
package app.jerboa.standin.fault;
