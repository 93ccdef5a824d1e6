/** What was dragged or drawn over was not pressed: the click that comes with letting go is no press. */
export function noPress() {
  const still = (e: MouseEvent) => {
    e.preventDefault();
    e.stopPropagation();
  };
  window.addEventListener('click', still, { capture: true, once: true });
  setTimeout(() => window.removeEventListener('click', still, { capture: true }), 50);
}
