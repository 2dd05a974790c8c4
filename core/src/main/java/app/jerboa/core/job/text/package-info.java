/**
 * Items between their two forms: texts as people type, store and send them, and the typed values
 * that the rules read. One form for each kind of item, registered in {@link
 * app.jerboa.core.job.text.JobItems}. Imports the model, {@code item}, {@code net}, {@code
 * profile}, {@code bringup}; nothing is null.
 */
package app.jerboa.core.job.text;
