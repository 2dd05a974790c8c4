/** What devices tell whoever asks by a published standard: SNMP, RTSP, WS-Discovery. */
package app.jerboa.standin.asked;
