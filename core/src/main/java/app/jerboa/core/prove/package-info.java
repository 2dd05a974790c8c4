/** How a machine judges what a head did: pure sums over readings. */
package app.jerboa.core.prove;
