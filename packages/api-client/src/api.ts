/** Stands in for the types made from the API’s description, which the test makes anew: nothing is known of a path here. */
export type paths = never;
