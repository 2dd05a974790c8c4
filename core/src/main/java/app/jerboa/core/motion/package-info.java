/** How heads move and sticks feel: laws, speeds, angles of view. Imports the JDK only. */
package app.jerboa.core.motion;
