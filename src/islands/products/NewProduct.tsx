import { Plus } from 'lucide-react';
import { useState } from 'react';
import type { LabelRules } from '../../core/label/labelRules';
import { newProduct } from '../../core/product/newProduct';
import type { Product } from '../../core/product/product';
import { useMake } from '../shared/useMake';
import type { Named } from './ProductFields';

interface Props {
  plans: Named[];
  /** A plan that is chosen at first. */
  planId: string | null;
  rules: LabelRules;
  size: { widthMm: number; heightMm: number };
}

/** A new product of a plan's pieces. */
export default function NewProduct({ plans, planId, rules, size }: Props) {
  const [chosen, setChosen] = useState(planId ?? plans[0]?.id ?? '');
  const { busy, problem, make } = useMake<Product>('products');
  const plan = plans.find(({ id }) => id === chosen);
  return (
    <form
      className="plate flex flex-wrap items-end gap-3 p-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (plan) void make(newProduct(plan, rules, size));
      }}
    >
      <label className="flex min-w-60 flex-col">
        <span className="quiet text-xs">Pieces of</span>
        <select
          className="select min-h-11 w-full"
          value={chosen}
          onChange={({ target }) => setChosen(target.value)}
        >
          {plans.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="btn btn-primary min-h-11" disabled={!plan || busy}>
        <Plus size={20} aria-hidden="true" />
        New product
      </button>
      {problem && (
        <p role="alert" className="text-error text-sm">
          {problem}
        </p>
      )}
    </form>
  );
}
