/** A file that is no scan that can be used, with what to do. */
export class NoScan extends Error {}
