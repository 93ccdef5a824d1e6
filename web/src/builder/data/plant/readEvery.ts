/** How often values of a plant are read again on pages that show them, in milliseconds. */
export const readEvery = 1500;
