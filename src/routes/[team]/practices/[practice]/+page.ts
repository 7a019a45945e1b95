/** The browser plays the practice and draws from it: the server does not do the same beforehand. */
export const ssr = false;
