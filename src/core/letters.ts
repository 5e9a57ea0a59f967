/** A text with its first letter large. @example capital('two layers') // 'Two layers' */
export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A text with its first letter small. @example lower('Two layers') // 'two layers' */
export function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}
