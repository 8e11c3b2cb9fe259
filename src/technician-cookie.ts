/**
 * Which of the firm's technicians has this device: chosen on Today. A device may write it without the server, which then hears
 * of it with the first thing that it is asked.
 */
export const technicianCookie = 'ohmmeter-works-here';
/** As devices have it from before, when the server alone could write it. */
const formerCookie = 'ohmmeter-technician';

export const technicianCookieSeconds = 60 * 60 * 24 * 365;

/** Who was chosen on the device that sent these cookies, if anybody was. */
export const technicianIn = (read: (name: string) => string | undefined): string | undefined =>
  read(technicianCookie) ?? read(formerCookie);
