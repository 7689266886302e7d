/** Opening a link from these screens as a recipient would. */
import { letterPath, drawnFrom } from "@/contract";

/**
 * Where a link is opened: pages at invented addresses (RFC 2606) on the invented sites, letters at the Mailroom of the
 * person, and everything else where it leads.
 */
function openedAt(href: string, personId: string | null): string {
  const letter = personId && letterPath(href, personId);
  return letter || drawnFrom(href);
}

/** A program that opens something takes the focus within so long; ms. */
const aMoment = 1500;

/** Whether the window loses the focus soon, because another program comes to the front. */
const losesFocus = (): Promise<boolean> =>
  new Promise((resolve) => {
    const done = (lost: boolean): void => {
      window.removeEventListener("blur", onBlur);
      clearTimeout(timer);
      resolve(lost);
    };
    const onBlur = (): void => done(true);
    const timer = setTimeout(() => done(false), aMoment);
    window.addEventListener("blur", onBlur);
  });

/**
 * Opens it in a new window; what other programs open, such as a phone number, is asked for from this one. Answers whether
 * anything opened: a browser may hold windows back, and a machine may have no program for phone numbers.
 */
export async function openLink(href: string, personId: string | null): Promise<boolean> {
  const address = openedAt(href, personId);
  if (/^(?:tel|sms|mailto):/i.test(address)) {
    const lost = losesFocus();
    window.location.assign(address);
    return lost;
  }
  const opened = window.open(address, "_blank");
  if (opened) opened.opener = null;
  return opened !== null;
}
