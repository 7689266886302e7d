"use client";

import dynamic from "next/dynamic";

/** A letter that is open, with all that draws it as clients do: a list of letters does without. */
export const OpenLetter = dynamic(() => import("./letter-facts").then((room) => room.LetterBody));
