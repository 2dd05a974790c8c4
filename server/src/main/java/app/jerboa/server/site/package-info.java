/** The site: what pasted print-outs say about the house network, before any of it is taken over. */
package app.jerboa.server.site;
