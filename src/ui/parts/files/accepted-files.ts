/** The file types that a picker offers; what is really in the file is checked by the server. */
export const acceptedPictures = "image/png,image/jpeg,image/gif,image/webp,image/avif,image/svg+xml";

/** As above, and archives of them. */
export const acceptedUploads = `${acceptedPictures},application/zip,.zip`;
