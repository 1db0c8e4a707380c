/** The first field of a form whose text could not be read; a form with one is not sent as if it were the old value. */
export const firstUnread = (form: HTMLElement): HTMLElement | null =>
  form.querySelector<HTMLElement>('[aria-invalid="true"]');
