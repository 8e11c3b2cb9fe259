/** What this build was made from; set by scripts/build.sh, and the same in the pages and on the server. */
export const buildId = process.env.OHMMETER_BUILD ?? 'development';
