import type { Metadata } from "next";
import { Toaster } from "sonner";
import { PageServices } from "@/ui/parts/page-services";
import "./globals.css";

export const metadata: Metadata = {
  title: { default: "Still Line", template: "%s · Still Line" },
  description: "A hand-built e-mail signature that looks the same to everyone who receives it.",
};

/** Every page is drawn for its request, since its scripts carry that request's nonce. */
export const dynamic = "force-dynamic";

export default function Layout({ children }: { children: React.ReactNode }) {
  return (
    <html lang="en">
      <head>
        <link rel="stylesheet" href="/fonts/web-safe.css" precedence="default" />
      </head>
      <body>
        {children}
        <PageServices />
        <Toaster
          position="bottom-right"
          toastOptions={{
            style: {
              background: "var(--ink)",
              color: "var(--paper)",
              border: "none",
              borderRadius: 4,
              fontFamily: "var(--font-sans)",
            },
          }}
        />
      </body>
    </html>
  );
}
