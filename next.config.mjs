/** @type {import("next").NextConfig} */
const configuration = {
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  // The test command has checked the types by itself just before.
  typescript: { ignoreBuildErrors: process.env.STILL_LINE_TYPES_CHECKED === "1" },
  serverExternalPackages: [
    "@libsql/client",
    "sharp",
    "nodemailer",
    "smtp-server",
    "postal-mime",
    "html-to-text",
    "workerpool",
    "@aws-sdk/client-s3",
  ],
};

export default configuration;
