import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';

/** Puts a text into a field in place of what stands there. */
export async function type(label: string | RegExp, text: string): Promise<void> {
  const field = screen.getByLabelText(label);
  await userEvent.clear(field);
  if (text) await userEvent.type(field, text);
}

export const pick = (label: string | RegExp, option: string) => userEvent.selectOptions(screen.getByLabelText(label), option);
export const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }));
