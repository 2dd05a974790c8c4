/**
 * What a job is made of and how it changes: kinds, fields, texts, edits, change sets. Imports
 * {@code value}.
 */
package app.jerboa.core.item;
