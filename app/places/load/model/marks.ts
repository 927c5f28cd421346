/** What an option is called in the drawing and beside it. @example optionMark(0) // 'a' */
export const optionMark = (index: number): string => String.fromCharCode(97 + (index % 26))
