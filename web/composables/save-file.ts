/** Hands a file to the browser's downloads. */
export const saveFile = (name: string, content: Blob): void => {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  // The browser reads it after this turn, and a large one for a while.
  setTimeout(() => {
    URL.revokeObjectURL(link.href);
  }, 60_000);
};

/** A name with nothing in it that a file may not be called; the other one where nothing is left. */
export const fileNameOf = (name: string, other: string): string =>
  name.replace(/[^\p{L}\p{N} _-]+/gu, '').trim() || other;
