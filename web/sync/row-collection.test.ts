import { computed, watch } from 'vue';
import { describe, expect, it } from 'vitest';
import { RowCollection } from './row-collection';

describe('rows as shown', () => {
  it('change all at one moment: nobody sees a film without its kit', () => {
    const rows = new RowCollection();
    const seen: string[] = [];
    const both = computed(() => `${rows.list('film').length} ${rows.list('aircraft').length}`);
    watch(both, (now) => seen.push(now), { flush: 'sync' });
    rows.put('film', 'f', { id: 'f' });
    rows.put('aircraft', 'a', { id: 'a' });
    expect(both.value).toBe('0 0');
    rows.refresh();
    expect(seen).toEqual(['1 1']);
  });
  it('keep the list of a kind nothing of which changed', () => {
    const rows = new RowCollection();
    rows.put('pack', 'p', { id: 'p' });
    rows.refresh();
    const before = rows.list('pack');
    rows.put('card', 'c', { id: 'c' });
    rows.refresh();
    expect(rows.list('pack')).toBe(before);
    rows.put('pack', 'p', null);
    rows.refresh();
    expect(rows.list('pack')).toEqual([]);
  });
});
