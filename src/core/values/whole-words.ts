/** Whether what stands between two places of a text is a word by itself: no letter or digit touches it. */
export const wholeWordAt = (text: string, from: number, to: number): boolean =>
  !/[\p{L}\p{N}]/u.test(text.charAt(from - 1)) && !/[\p{L}\p{N}]/u.test(text.charAt(to));
