/**
 * What a device can be told, as data: knobs that are turned and read back, verbs that do something,
 * and how each is said in the languages the device speaks. Imports {@code value} only. Nothing is
 * null.
 */
package app.jerboa.core.knob;
