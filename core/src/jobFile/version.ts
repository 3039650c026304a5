/** The version of the files that this Kolleta writes. */
export const FILE_VERSION = 6;
