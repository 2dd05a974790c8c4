/**
 * Takes in the order of time, and whether their cameras can be there. Imports how heads move and
 * the JDK.
 */
package app.jerboa.core.shot;
