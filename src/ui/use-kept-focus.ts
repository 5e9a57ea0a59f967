import { useEffect } from 'react';

/** What can be gone to without a keyboard popping up on a tablet. */
const TOUCHABLE = 'button:not([disabled]), a[href], summary, [tabindex="0"]';

/** Where something held the focus: its ancestors from the inside out, and how many touchable things of each come before it. */
interface Held {
  element: Element;
  within: { ancestor: Element; before: number }[];
}

/**
 * Keeps a person who works by keyboard where they were: when the element that has the focus goes, as the button of a row that it deletes
 * does, the focus goes to what stands in its place, else to the nearest thing that is left beside it.
 */
export function useKeptFocus(): void {
  useEffect(() => {
    let held: Held | null = null;
    const note = (event: FocusEvent) => {
      const element = event.target as Element;
      held = { element, within: [] };
      for (let ancestor = element.parentElement; ancestor && ancestor !== document.body; ancestor = ancestor.parentElement)
        held.within.push({ ancestor, before: [...ancestor.querySelectorAll(TOUCHABLE)].indexOf(element) });
    };
    const mend = () => {
      if (!held || held.element.isConnected) return;
      const { within } = held;
      held = null;
      // What closes a dialog or opens a form sets its own focus.
      if (document.activeElement && document.activeElement !== document.body) return;
      const stays = within.find(({ ancestor }) => ancestor.isConnected && ancestor.querySelector(TOUCHABLE));
      if (!stays) return;
      const left = [...stays.ancestor.querySelectorAll<HTMLElement>(TOUCHABLE)];
      left[Math.min(Math.max(stays.before, 0), left.length - 1)]!.focus({ preventScroll: true });
    };
    const watch = new MutationObserver(() => {
      if (held && !held.element.isConnected) requestAnimationFrame(mend);
    });
    watch.observe(document.body, { childList: true, subtree: true });
    document.addEventListener('focusin', note);
    return () => {
      watch.disconnect();
      document.removeEventListener('focusin', note);
    };
  }, []);
}
