/** The tour does what it shows with the fields and buttons that are there, as a hand would. */

/** @param name what stands on it; else the first there is */
export function pressOn(selector: string, name?: RegExp): boolean {
  const shown = [...document.querySelectorAll<HTMLElement>(selector)];
  const target = shown.find(({ textContent }) => name === undefined || name.test(textContent?.trim() ?? ''));
  if (!target) return false;
  target.focus();
  target.click();
  return true;
}

/** Types over what stands in a field, and leaves it. */
export function typeInto(label: string, change: (text: string) => string): boolean {
  const field = [...document.querySelectorAll('label')]
    .filter((element) => element.textContent?.trim() === label)
    .map((element) => element.control)
    .find((control) => control instanceof HTMLInputElement);
  if (!field) return false;
  field.focus();
  // React hears of a value only where it is set past its own setter.
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, change(field.value));
  field.dispatchEvent(new Event('input', { bubbles: true }));
  field.blur();
  return true;
}
