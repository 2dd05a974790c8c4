/** Colours as cameras code them and as eyes see them, and what the knobs of a camera do to them. */
package app.jerboa.core.colour;
