/** How Debian's Chromium is started: without a sandbox of its own, a display, or calls to the network. */
export const chromiumLaunch = {
  executablePath: process.env.STILL_LINE_CHROMIUM || "/usr/bin/chromium",
  args: [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
};
