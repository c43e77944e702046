import { defineStore } from 'pinia';
import { ref } from 'vue';

/** Whether the window to go somewhere is open. */
export const useGoTo = defineStore('go-to', () => ({ open: ref(false) }));
