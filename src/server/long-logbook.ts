/** A logbook of more entries than these comes to a device part by part, and never with a page. */
export const longLogbook = 500;
