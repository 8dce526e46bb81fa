/**
 * Lets only the first click of a double click through to what makes something new: anything marked with
 * {@code data-once}, and entries of menus. The returned function stops it.
 */
export function swallowSecondClicks(): () => void {
  const swallow = (e: MouseEvent) => {
    const target = e.target;
    if (e.detail < 2 || !(target instanceof Element)) return;
    if (!target.closest('[data-once], [role="menuitem"]')) return;
    e.preventDefault();
    e.stopPropagation();
  };
  document.addEventListener("click", swallow, true);
  return () => document.removeEventListener("click", swallow, true);
}
