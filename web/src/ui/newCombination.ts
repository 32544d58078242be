/** The state of an address that opens the bench empty; what stood on it is laid aside. */
export const FRESH = "fresh";
