import type { NextConfig } from "next";

const configuration: NextConfig = {
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  serverExternalPackages: [
    "@libsql/client",
    "sharp",
    "nodemailer",
    "smtp-server",
    "postal-mime",
    "html-to-text",
  ],
};

export default configuration;
