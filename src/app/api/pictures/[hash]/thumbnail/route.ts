import { frameAsked, route } from "@/server/http/route";
import { drawOriginal } from "@/server/pictures/draw-original";

/** An original drawn small; `?frame=` of an animation, from 0. */
export const GET = route<{ hash: string }>((request, { hash }) =>
  drawOriginal(hash, { width: 320, height: 240, frame: frameAsked(request) }),
);
