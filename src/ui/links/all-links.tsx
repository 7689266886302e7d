"use client";

import { useState } from "react";
import { toast } from "sonner";
import { ownLinkLooks, setAllLinkLooks, setSettings, type Settings } from "@/core/signature";
import type { Change } from "../signature/editing/single-steps";
import { Button } from "../parts/button";
import type { Palette } from "../parts/fields/color-choices";
import { ColorField } from "../parts/fields/color-field";
import { Section } from "../parts/section";
import { CheckField } from "../parts/fields/check-field";
import { TextField } from "../parts/fields/text-field";

interface Props {
  readonly settings: Settings;
  readonly palette: Palette;
  readonly change: Change;
}

const parts = { source: "Source", medium: "Medium", name: "Campaign" } as const;

/** What holds for every link: colour, underline, and the parameters of a campaign. */
export function AllLinks({ settings, palette, change }: Props) {
  const [color, setColor] = useState(settings.linkColor);
  const [underline, setUnderline] = useState(settings.linkUnderline);
  const [campaign, setCampaign] = useState(settings.campaign ?? { source: "", medium: "", name: "" });
  const given = Object.values(campaign).some((value) => value.trim());
  const saveCampaign = (): void => {
    const trimmed = {
      source: campaign.source.trim(),
      medium: campaign.medium.trim(),
      name: campaign.name.trim(),
    };
    change((transform) => setSettings(transform, { campaign: given ? trimmed : null }));
  };
  /** Says how many had a look of their own, which is what cannot be seen from here. */
  const drawAll = (): void => {
    let own = 0;
    const changed = change((transform) => {
      own = ownLinkLooks(transform.doc).size;
      setAllLinkLooks(transform, { linkColor: color, linkUnderline: underline });
    });
    if (!changed) return void toast("All links are drawn so already.");
    const others = own === 0 ? "none had" : own === 1 ? "one had" : `${own} had`;
    toast(`All links are drawn so; ${others} a look of ${own === 1 ? "its" : "their"} own.`);
  };
  return (
    <>
      <Section title="How every link is drawn">
        <ColorField
          label="Colour"
          value={color}
          palette={palette}
          onChange={(next) => next && setColor(next)}
        />
        <CheckField
          label="underlined"
          checked={underline}
          onChange={(on) => setUnderline(on)}
          className="mt-2"
        />
        <Button className="mt-3" onClick={drawAll}>
          Draw all links so
        </Button>
        <p className="mt-1.5 text-xs text-soft">Also those that have a colour or underline of their own.</p>
      </Section>
      <Section title="Campaign parameters of web links">
        <p className="mb-2 text-xs text-soft">
          Added when the signature is installed or sent, so that your statistics can tell who came from it.
          Left empty, nothing is added.
        </p>
        {(Object.keys(parts) as (keyof typeof parts)[]).map((part) => (
          <TextField
            key={part}
            label={parts[part]}
            value={campaign[part]}
            maxLength={60}
            placeholder="nothing"
            onChange={(event) => setCampaign({ ...campaign, [part]: event.target.value })}
            onKeyDown={(event) => event.key === "Enter" && saveCampaign()}
            className="mb-1.5"
          />
        ))}
        <Button className="mt-1" onClick={saveCampaign}>
          {given || !settings.campaign ? "Add them" : "Add none"}
        </Button>
      </Section>
    </>
  );
}
