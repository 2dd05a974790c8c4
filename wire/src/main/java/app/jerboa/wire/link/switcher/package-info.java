/** Picture switchers that are listened to: which input is on programme. */
package app.jerboa.wire.link.switcher;
