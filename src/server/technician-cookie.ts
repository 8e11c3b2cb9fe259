/** Which of the firm's technicians has this device: chosen on Today. */
export const technicianCookie = 'ohmmeter-technician';
