/** The invented networks that the demo's organisation has pages on. */
import type { NetworkKind } from "@/core/links";

export const networks: readonly NetworkKind[] = [
  { id: "plotline", name: "Plotline", glyph: "photos", pattern: "https://plotline.example/" },
  { id: "hedgepost", name: "Hedgepost", glyph: "short-posts", pattern: "https://hedgepost.example/" },
  {
    id: "bench-and-bough",
    name: "Bench & Bough",
    glyph: "professional-profile",
    pattern: "https://benchandbough.example/",
  },
  { id: "slow-reel", name: "Slow Reel", glyph: "video", pattern: "https://slowreel.example/" },
  { id: "sowcast", name: "Sowcast", glyph: "audio", pattern: "https://sowcast.example/" },
];
