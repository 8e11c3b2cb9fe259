/** Said at a form whose entry found no place: what was typed stands there still. */
export const notEntered = 'Not entered: neither this device nor the server has it. Try again.';
