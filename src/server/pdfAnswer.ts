/** A PDF as a file of its own name. */
export function pdfAnswer(name: string, bytes: Uint8Array): Response {
  const plain = name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'labels';
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(`${plain}.pdf`)}`,
      'cache-control': 'no-store',
    },
  });
}
