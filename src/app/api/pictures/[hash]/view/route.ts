import { frameAsked, route } from "@/server/http/route";
import { drawOriginal } from "@/server/pictures/draw-original";

/** An original as large as it is worked on; `?frame=` of an animation, from 0. */
export const GET = route<{ hash: string }>((request, { hash }) =>
  drawOriginal(hash, { width: 1600, height: 1600, frame: frameAsked(request) }),
);
