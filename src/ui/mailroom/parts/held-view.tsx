"use client";

/** A signature that a client holds, as that client draws it. */
import { heldAddresses, type Desk } from "@/contract";
import { received, standIns } from "@/core/clients";
import { deskClients, type HeldSignature } from "@/core/desks";
import { areaOf } from "../../parts/drawing/area-of";
import { SignatureFrame } from "../../parts/drawing/signature-frame";
import { drawnInBox } from "./rich-box";

interface Props {
  readonly desk: Desk;
  readonly signature: Pick<HeldSignature, "name" | "html"> & Partial<HeldSignature>;
  readonly width: number;
  readonly highest: number;
}

export function HeldView({ desk, signature: { name, html, pictures = {} }, width, highest }: Props) {
  const { standIn: id, name: client } = deskClients[desk.client];
  const standIn = standIns[id];
  const drawnFrom = heldAddresses(desk.person.id, desk.client, pictures);
  const drawn = drawnInBox(received(html, id).html, drawnFrom);
  return (
    <div className="overflow-x-auto bg-white">
      <SignatureFrame
        html={drawn}
        label={`${name} as ${client} draws it`}
        width={width}
        highest={highest}
        area={areaOf(standIn, "light", drawn)}
      />
    </div>
  );
}
