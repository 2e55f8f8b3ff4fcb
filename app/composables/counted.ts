/** How many of something, in words: `1 tool`, `3 tools`. */
export const counted = (count: number, what: string): string => `${count} ${what}${count === 1 ? '' : 's'}`
