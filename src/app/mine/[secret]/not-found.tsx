export default function NothingThere() {
  return (
    <main className="mx-auto max-w-xl px-5 py-3">
      <h1 className="mt-24 border-t border-pine pt-4 font-serif text-3xl">There is no page here any more</h1>
      <p className="mt-2 text-soft">
        It was withdrawn, or its address is not whole. Ask whoever gave it to you for another.
      </p>
    </main>
  );
}
