/** Puts the focus on something that is about to be there, and brings it in sight. */
export function focusSoon(...selectors: string[]) {
  setTimeout(() => {
    for (const selector of selectors) {
      const there = document.querySelector<HTMLElement>(selector);
      if (!there) continue;
      there.scrollIntoView({ block: "nearest" });
      there.focus();
      return;
    }
  }, 60);
}
