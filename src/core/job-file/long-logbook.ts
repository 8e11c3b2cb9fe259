/**
 * A logbook of more entries than these is long: it comes to a device part by part, and never with a page, and a device keeps it
 * as one text.
 */
export const longLogbook = 500;
