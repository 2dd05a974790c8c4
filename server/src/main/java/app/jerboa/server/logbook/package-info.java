/** The logbook: who did what when, in plain words; only ever added to. */
package app.jerboa.server.logbook;
