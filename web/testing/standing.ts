/** What tests have mounted and not taken away. */
export const standing = new Set<{ unmount(): void }>();
