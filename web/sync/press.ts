/** Number of the press that is held down, 0 when none is: what is changed in one press is one step, however long it lasts. */
let held = 0;
let presses = 0;

if (typeof window !== 'undefined') {
  window.addEventListener(
    'pointerdown',
    () => {
      presses += 1;
      held = presses;
    },
    true,
  );
  for (const end of ['pointerup', 'pointercancel'])
    window.addEventListener(
      end,
      () => {
        held = 0;
      },
      true,
    );
}

export const heldPress = (): number => held;
