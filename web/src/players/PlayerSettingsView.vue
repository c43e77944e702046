<script setup lang="ts">
import PageHead from '../app/PageHead.vue';
import HandOverPanel from '../people/HandOverPanel.vue';
import { useIdentity } from '../people/identity';
import TextField from '../fields/TextField.vue';
import ChoiceField from '../fields/ChoiceField.vue';
import { NButton, NTable } from 'naive-ui';
import {
  GAP_SETTING_FIELDS,
  hasRight,
  gapSettingUnit,
  readGapSetting,
  readHandicap,
  showGapSetting,
  type GapSettingField,
  type PlayerSet,
} from '@tasche/contract';
import {
  BASELINE,
  COMMITTEE_DECIDES,
  CONDITION_BOUNDS,
  DEFAULT_GAP_SETTINGS,
  DEFAULT_PREFERENCES,
  handicapText,
  skillWords,
  type Conditions,
} from '@tasche/core';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { airUnits, airWords, type AirPart } from '../conditions/air-units';
import { preferenceWords } from '../plan/preference-words';
import { useSheet } from '../sheet/sheet-store';

/** Who the player is, what they read in, and from where on a step of theirs is worth a word. */
defineProps<{ playerId: string }>();
const store = useSheet();
const identity = useIdentity();
const isOwner = computed(() => identity.view !== null && hasRight(identity.view.role, 'people'));
const router = useRouter();
const complaints = ref(new Map<string, { text: string; reason: string }>());

const player = computed(() => store.sheet!.player);
const unit = computed(() => player.value.distanceUnit);
const valueOf = (field: GapSettingField) =>
  player.value.gapSettings[field.key] ?? DEFAULT_GAP_SETTINGS[field.key];
const isOwn = (field: GapSettingField) => player.value.gapSettings[field.key] !== undefined;
const anyOwn = computed(() => GAP_SETTING_FIELDS.some(isOwn));
const shown = (field: GapSettingField) =>
  complaints.value.get(field.key)?.text ?? showGapSetting(field, valueOf(field), unit.value);

function save(set: PlayerSet): void {
  store.change([{ do: 'editPlayer', playerId: player.value.id, version: player.value.version, set }]);
}

function rename(text: string): void {
  const name = text.trim();
  if (name === '' || name.length > 80)
    complaints.value.set('name', {
      text,
      reason: name === '' ? 'A player needs a name.' : 'A name has at most 80 characters.',
    });
  else {
    complaints.value.delete('name');
    if (name !== player.value.name) save({ name });
  }
}

function writeHandicap(text: string): void {
  const read = readHandicap(text);
  if (!read.ok) {
    complaints.value.set('handicap', { text, reason: read.reason });
    return;
  }
  complaints.value.delete('handicap');
  if (read.value !== player.value.handicap) save({ handicap: read.value });
}

/** An empty field, or the usual figure, goes back to the usual figure. */
function write(field: GapSettingField, text: string): void {
  const { [field.key]: _own, ...others } = player.value.gapSettings;
  if (text.trim() === '') {
    complaints.value.delete(field.key);
    save({ gapSettings: others });
    return;
  }
  const read = readGapSetting(field, text, unit.value);
  if (!read.ok) {
    complaints.value.set(field.key, { text, reason: read.reason });
    return;
  }
  complaints.value.delete(field.key);
  const usual = Math.abs(read.value - DEFAULT_GAP_SETTINGS[field.key]) < 1e-4;
  save({ gapSettings: usual ? others : { ...others, [field.key]: read.value } });
}

const AIR: readonly { field: 'temperatureC' | 'altitudeM' | 'humidityPct'; part: AirPart; label: string }[] =
  [
    { field: 'temperatureC', part: 'temperature', label: 'Temperature' },
    { field: 'altitudeM', part: 'altitude', label: 'Altitude' },
    { field: 'humidityPct', part: 'humidity', label: 'Humidity' },
  ];
const air = computed(() => player.value.baseline ?? BASELINE);
const shownAir = ({ field, part }: (typeof AIR)[number]) =>
  complaints.value.get(field)?.text ??
  String(Number(airUnits(unit.value)[part].show(air.value[field]).toFixed(0)));

function writeAir({ field, part, label }: (typeof AIR)[number], text: string): void {
  const { read, show, name } = airUnits(unit.value)[part];
  const [min, max] = CONDITION_BOUNDS[field];
  const value =
    text.trim() === '' ? BASELINE[field] : Math.round(read(Number(text.replace(',', '.'))) * 100) / 100;
  if (!Number.isFinite(value) || value < min || value > max) {
    complaints.value.set(field, {
      text,
      reason: `${label} must be between ${show(min).toFixed(0)} and ${show(max).toFixed(0)} ${name}`,
    });
    return;
  }
  complaints.value.delete(field);
  const next: Conditions = { ...air.value, [field]: value };
  const usual = AIR.every((one) => Math.abs(next[one.field] - BASELINE[one.field]) < 0.3);
  save({ baseline: usual ? null : next });
}

/** What was kept from a plan for every choice. */
const wanted = computed(() =>
  player.value.preferences
    ? preferenceWords(
        { ...DEFAULT_PREFERENCES, ...player.value.preferences },
        (id) => store.clubsById.get(id)?.name,
        unit.value,
      )
    : null,
);

function archive(): void {
  save({ archived: !player.value.archived });
  if (player.value.archived) void router.push('/roster');
}
</script>

<template>
  <div class="page">
    <PageHead :of="player.name">
      settings
      <template #says>
        <p class="quiet small">
          Every field saves as it is left; Ctrl Z takes it back.<span v-if="player.archived" class="tag"
            >off the roster</span
          >
        </p>
      </template>
      <template #actions>
        <NButton v-if="!store.readOnly" @click="archive">
          {{ player.archived ? 'Back on the roster' : 'Take off the roster' }}
        </NButton>
      </template>
    </PageHead>
    <div class="columns">
      <section>
        <h2>Player</h2>
        <div class="who">
          <label
            >Name
            <TextField
              aria-label="Name"
              :value="complaints.get('name')?.text ?? player.name"
              :disabled="store.readOnly"
              :bad="complaints.has('name')"
              maxlength="81"
              @write="rename"
            />
            <span v-if="complaints.has('name')" class="verdict fault small" role="alert"
              >■ {{ complaints.get('name')!.reason }}</span
            >
          </label>
          <label
            >Carries in
            <ChoiceField
              :value="player.distanceUnit"
              :disabled="store.readOnly"
              @update:value="save({ distanceUnit: $event })"
              label="Carries in"
              :options="[
                { value: 'yd', label: 'yards' },
                { value: 'm', label: 'metres' },
              ]"
            />
          </label>
          <label
            >Hand
            <ChoiceField
              :value="player.hand"
              :disabled="store.readOnly"
              @update:value="save({ hand: $event })"
              label="Hand"
              :options="['right', 'left']"
            />
          </label>
          <label class="wide"
            >Handicap
            <TextField
              aria-label="Handicap"
              :value="
                complaints.get('handicap')?.text ??
                (player.handicap === null ? '' : handicapText(player.handicap))
              "
              :disabled="store.readOnly"
              :bad="complaints.has('handicap')"
              placeholder="12 or +4; empty where nobody knows"
              @write="writeHandicap"
            />
            <span v-if="complaints.has('handicap')" class="verdict fault small" role="alert"
              >■ {{ complaints.get('handicap')!.reason }}</span
            >
            <span v-else class="small"
              >{{ skillWords(store.skill) }} Shots that were not measured scatter by it.</span
            >
          </label>
          <label class="wide"
            >Notes
            <TextField
              aria-label="Notes"
              :value="player.notes"
              :rows="7"
              maxlength="4000"
              :disabled="store.isPast"
              placeholder="Trusts the 7 wood. Never changes a putter in season."
              @write="save({ notes: $event })"
            />
          </label>
          <fieldset class="wide">
            <legend>The air the carries are known in</legend>
            <label v-for="one in AIR" :key="one.field"
              >{{ one.label }}, {{ airUnits(unit)[one.part].name }}
              <TextField
                :aria-label="`${one.label}, ${airUnits(unit)[one.part].name}`"
                :value="shownAir(one)"
                :disabled="store.readOnly"
                inputmode="decimal"
                :bad="complaints.has(one.field)"
                :class="{ own: player.baseline }"
                @write="writeAir(one, $event)"
              />
            </label>
            <span
              v-for="one in AIR.filter(({ field }) => complaints.has(field))"
              :key="one.field"
              class="verdict fault small wide"
              role="alert"
              >■ {{ complaints.get(one.field)!.reason }}</span
            >
            <p class="quiet small wide">
              Calm. Carries read in other air are moved from here. An empty field is the usual:
              {{ airWords('temperature', BASELINE.temperatureC, unit) }}, sea level,
              {{ BASELINE.humidityPct }} %.
            </p>
          </fieldset>
        </div>
        <template v-if="wanted">
          <h2>Wanted of every choice</h2>
          <ul class="wanted small">
            <li v-for="words in wanted" :key="words">{{ words }}</li>
          </ul>
          <NButton v-if="!store.readOnly" size="small" @click="save({ preferences: null })">
            Forget what is wanted of every choice
          </NButton>
        </template>
      </section>
      <section>
        <div class="head">
          <h2>Limits for the steps</h2>
          <NButton
            v-if="anyOwn && !store.readOnly"
            @click="
              complaints.clear();
              save({ gapSettings: {} });
            "
            size="small"
          >
            All back to usual
          </NButton>
        </div>
        <p class="quiet small">
          The usual figures are common practice, no source. An empty field is the usual figure.
        </p>
        <NTable size="small" :bordered="false" :bottom-bordered="false">
          <tbody>
            <tr v-for="field in GAP_SETTING_FIELDS" :key="field.key">
              <th scope="row">
                <label :for="field.key">{{ field.label }}</label>
              </th>
              <td class="number">
                <TextField
                  :id="field.key"
                  class="limit"
                  :value="shown(field)"
                  :disabled="store.readOnly"
                  inputmode="decimal"
                  :bad="complaints.has(field.key)"
                  :class="{ own: isOwn(field) }"
                  :aria-invalid="complaints.has(field.key) || undefined"
                  :aria-describedby="`${field.key}-says`"
                  @write="write(field, $event)"
                />
                <span class="unit">{{ gapSettingUnit(field, unit) }}</span>
              </td>
              <td :id="`${field.key}-says`" class="small">
                <span v-if="complaints.has(field.key)" class="verdict fault" role="alert"
                  >■ {{ complaints.get(field.key)!.reason }}</span
                >
                <template v-else
                  ><span class="quiet">{{ field.says }}</span>
                  <span v-if="isOwn(field)" class="usual"
                    >usually {{ showGapSetting(field, DEFAULT_GAP_SETTINGS[field.key], unit) }}</span
                  ></template
                >
              </td>
            </tr>
          </tbody>
        </NTable>
        <p class="quiet small">{{ COMMITTEE_DECIDES }}</p>
      </section>
    </div>
    <HandOverPanel v-if="isOwner && !store.readOnly" :player="player" />
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(260px, 340px) minmax(420px, 1fr);
  gap: 40px;
  max-width: 1160px;
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 32px;
}
.who {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  margin-top: 12px;
}
.who label {
  display: grid;
  gap: 3px;
  font-size: 12.5px;
  color: var(--quiet);
  align-content: start;
}
.who > label:first-child,
.wide {
  grid-column: 1 / -1;
}
fieldset {
  border: 1px solid var(--line);
  border-radius: 4px;
  margin: 0;
  padding: 8px 12px 10px;
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
legend {
  font-size: 12.5px;
  color: var(--quiet);
  padding: 0 4px;
}
fieldset .wide {
  grid-column: 1 / -1;
}
fieldset label:first-of-type {
  grid-column: auto;
}
.tag {
  margin-left: 8px;
  font-size: 12px;
  border: 1px solid var(--line);
  border-radius: 3px;
  padding: 1px 6px;
}

table {
  border-collapse: collapse;
  width: 100%;
  margin: 8px 0 12px;
}
th {
  font-weight: 400;
  text-align: left;
}
th,
td {
  border-top: 1px solid var(--line-soft);
  padding: 4px 14px 4px 0;
  vertical-align: middle;
}
.number {
  white-space: nowrap;
  width: 142px;
}
.number .limit {
  width: 76px;
}

.unit {
  color: var(--quiet);
  padding-left: 7px;
}
.own {
  border-color: var(--petrol);
  font-weight: 600;
}
.bad {
  border-color: var(--brick);
}
.usual {
  margin-left: 0.5em;
  color: var(--petrol);
  white-space: nowrap;
}
@media (max-width: 980px) {
  .columns {
    grid-template-columns: 1fr;
    gap: 24px;
  }
}
@media (max-width: 700px) {
  tr {
    display: grid;
    grid-template-columns: 1fr auto;
    border-top: 1px solid var(--line-soft);
    padding: 5px 0;
  }
  th,
  td {
    border: 0;
    padding: 0;
  }
  td:last-child {
    grid-column: 1 / -1;
  }
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
