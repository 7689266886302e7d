/** The drawn glyphs: what each is for, and which drawing of the icon set it is. */
export interface GlyphPlan {
  readonly name: string;
  /** What it is called in lists, and what it stands for. */
  readonly label: string;
  readonly drawing: string;
}

export const glyphList: readonly GlyphPlan[] = [
  { name: "web", label: "Web", drawing: "globe" },
  { name: "mail", label: "Mail", drawing: "envelope-simple" },
  { name: "phone", label: "Phone", drawing: "phone" },
  { name: "mobile", label: "Mobile", drawing: "device-mobile" },
  { name: "chat", label: "Chat", drawing: "chat-circle-dots" },
  { name: "video-call", label: "Video call", drawing: "video-camera" },
  { name: "map", label: "Map", drawing: "map-pin" },
  { name: "booking", label: "Calendar, booking", drawing: "calendar-check" },
  { name: "photos", label: "Photos", drawing: "image" },
  { name: "video", label: "Video", drawing: "film-strip" },
  { name: "short-posts", label: "Short posts", drawing: "chat-text" },
  { name: "professional-profile", label: "Professional profile", drawing: "identification-card" },
  { name: "code", label: "Code", drawing: "code" },
  { name: "audio", label: "Audio", drawing: "microphone" },
  { name: "news", label: "News", drawing: "newspaper" },
  { name: "shop", label: "Shop", drawing: "storefront" },
  { name: "document", label: "Document", drawing: "file-text" },
  { name: "donate", label: "Donate", drawing: "hand-heart" },
  { name: "award", label: "Award", drawing: "medal" },
  { name: "accessibility", label: "Accessibility", drawing: "person-arms-spread" },
  { name: "people", label: "People", drawing: "users-three" },
  { name: "plant", label: "Plant", drawing: "plant" },
  { name: "link", label: "Link", drawing: "link-simple" },
  { name: "help", label: "Help", drawing: "question" },
];
