const KEPT_MS = 10_000;

/** Gives a file to the browser to be kept. */
export function saveFile(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), KEPT_MS);
}

/** Asks the server for a file and keeps it; answers why there is none, or null. */
export async function saveFrom(path: string, name: string): Promise<string | null> {
  try {
    const answer = await fetch(path);
    if (!answer.ok) return (await answer.json()).detail;
    saveFile(await answer.blob(), name);
    return null;
  } catch {
    return 'Idle Tallow does not answer. Is it still running?';
  }
}
