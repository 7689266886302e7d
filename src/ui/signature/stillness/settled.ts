/** Until the fonts that what is drawn needs are there, and pictures whose size is only known from their file. */
export async function settled(body: HTMLElement): Promise<void> {
  void body.offsetHeight;
  await body.ownerDocument.fonts.ready;
  const unsized = [...body.querySelectorAll("img")].filter(
    (picture) =>
      picture.src && !picture.complete && !(picture.hasAttribute("width") && picture.hasAttribute("height")),
  );
  await Promise.all(
    unsized.map(
      (picture) =>
        new Promise<void>((resolve) => {
          picture.addEventListener("load", () => resolve(), { once: true });
          picture.addEventListener("error", () => resolve(), { once: true });
        }),
    ),
  );
}
