import type { PlaceView } from '@tasche/contract';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { request } from '../api/request';

/** The courses and seasons of the workspace, asked for once. */
export const usePlaces = defineStore('places', () => {
  const places = shallowRef<readonly PlaceView[]>([]);
  let asked = false;
  async function load(): Promise<void> {
    if (asked) return;
    asked = true;
    places.value = await request<PlaceView[]>('/places').catch(() => { asked = false; return []; });
  }
  return { places, load };
});
