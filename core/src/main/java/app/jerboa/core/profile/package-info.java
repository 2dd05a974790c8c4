/**
 * The facts all devices of a model share, read from {@code profiles/*.profile.json}. Imports {@code
 * value}, {@code knob}, {@code net} and {@code motion}.
 */
package app.jerboa.core.profile;
