/** Pictures of the hall: what a camera shows, and what becomes of it in a switcher. */
package app.jerboa.standin.picture;
