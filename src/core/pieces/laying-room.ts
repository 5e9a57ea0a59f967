/** Room that is kept when pieces are laid, mm: between them for the scissors, and along each selvedge of what has a grain. */
export const LAYING = { gap: 3, selvedge: 10 } as const;
