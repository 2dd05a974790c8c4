/** Controllers of the hall: what was entered in them, and what a key and a stick send. */
package app.jerboa.standin.controller;
