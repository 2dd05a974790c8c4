package app.jerboa.server.live;

/** Somebody who has the job open in a browser tab, and on which page. */
record PresentBody(String tab, String person, String page) {}
