import { Copy } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { PlanFile } from '../../core/plan/plan';
import { writeRecipe } from '../../formats/recipe/writeRecipe';

/** The plan as the lines of a recipe, to be copied; read back, it is the same plan. */
export default function RecipeOut({ file }: { file: PlanFile }) {
  const text = useMemo(() => writeRecipe(file.plan, file, file.materials), [file]);
  const [copied, setCopied] = useState<string | null>(null);
  return (
    <div className="flex flex-col gap-2">
      <textarea
        className="textarea w-full font-mono text-xs"
        aria-label="This plan as a recipe"
        rows={Math.min(14, text.split('\n').length)}
        readOnly
        value={text}
        onFocus={({ target }) => target.select()}
      />
      <button
        type="button"
        className="btn btn-secondary min-h-11 self-start"
        onClick={() => void navigator.clipboard?.writeText(text).then(() => setCopied(text))}
      >
        <Copy size={18} aria-hidden="true" />
        Copy
      </button>
      <p className="quiet min-h-4 text-xs" role="status">
        {copied === text && 'Copied.'}
      </p>
    </div>
  );
}
