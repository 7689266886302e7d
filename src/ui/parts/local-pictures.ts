/** Hosted pictures drawn from this machine, whatever public address the signature names. */
export const localPictures = (html: string, base: string): string => html.replaceAll(`"${base}/h/`, '"/h/');
