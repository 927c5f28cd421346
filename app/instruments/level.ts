/** Length of the level that most people carry, m. */
export const LEVEL_LENGTH = 1.2
