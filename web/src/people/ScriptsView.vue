<script setup lang="ts">
import ProblemLine from '../app/ProblemLine.vue';
import { NCode, NCollapse, NCollapseItem } from 'naive-ui';
import NameTag from '../app/NameTag.vue';
import { computed, ref } from 'vue';
import PageHead from '../app/PageHead.vue';
import TextField from '../fields/TextField.vue';
import { useRead } from '../api/read';

/** What scripts can ask: the OpenAPI document, to be read by people. */
interface Operation {
  summary: string;
  description: string;
  security: readonly Record<string, unknown>[];
  parameters: readonly { name: string; in: string; required: boolean; schema: object }[];
  requestBody?: { content: Record<string, { schema: object }> };
  responses: Record<string, { content?: Record<string, unknown> }>;
}
interface Document {
  info: { description: string };
  paths: Record<string, Record<string, Operation>>;
  components: { schemas: Record<string, object> };
}
const { found, problem } = useRead<Document>(() => '/openapi.json');
const wanted = ref('');
const operations = computed(() =>
  Object.entries(found.value?.paths ?? {})
    .flatMap(([path, methods]) =>
      Object.entries(methods).map(([method, operation]) => ({
        name: `${method.toUpperCase()} /api${path}`,
        ...operation,
        forScripts: operation.security.length === 0 || operation.security.some((one) => 'token' in one),
      })),
    )
    .filter(({ name, summary }) =>
      `${name} ${summary}`.toLowerCase().includes(wanted.value.trim().toLowerCase()),
    ),
);
const commands = computed(() =>
  Object.entries(found.value?.components.schemas ?? {}).filter(
    ([name]) => name !== 'Problem' && name.toLowerCase().includes(wanted.value.trim().toLowerCase()),
  ),
);
const json = (value: unknown) => JSON.stringify(value, null, 2);
const answers = ({ responses }: Operation) => Object.keys(responses['200']?.content ?? {}).join(', ');
</script>

<template>
  <div class="page">
    <PageHead>
      Scripts
      <template #says>
        <p class="quiet small says">
          {{ found?.info.description }} Tokens are made in <RouterLink to="/account">Account</RouterLink>; the
          document itself is <a href="/api/openapi.json">OpenAPI 3.1</a>.
        </p>
      </template>
    </PageHead>
    <ProblemLine :text="problem" />
    <TextField v-model:value="wanted" class="search" aria-label="Search the routes" placeholder="search…" />
    <NCollapse class="routes">
      <NCollapseItem v-for="one in operations" :key="one.name" :name="one.name">
        <template #header>
          <code>{{ one.name }}</code> <span class="quiet about">{{ one.summary }}</span>
          <NameTag v-if="!one.forScripts">at a browser only</NameTag>
        </template>
        <p class="small">{{ one.description }} Answers {{ answers(one) }}.</p>
        <template v-if="one.parameters.length">
          <h3>Parameters</h3>
          <ul>
            <li v-for="parameter in one.parameters" :key="parameter.name" class="small">
              <code>{{ parameter.name }}</code> in the {{ parameter.in
              }}{{ parameter.required ? '' : ', may be left out' }}
              <code class="quiet">{{ JSON.stringify(parameter.schema) }}</code>
            </li>
          </ul>
        </template>
        <template v-for="(body, type) in one.requestBody?.content ?? {}" :key="type">
          <h3>Body, {{ type }}</h3>
          <NCode :code="json(body.schema)" word-wrap />
        </template>
      </NCollapseItem>
    </NCollapse>
    <h2>Commands of a change</h2>
    <NCollapse class="routes">
      <NCollapseItem v-for="[name, schema] in commands" :key="name" :name="name">
        <template #header
          ><code>{{ name }}</code></template
        >
        <NCode :code="json(schema)" word-wrap />
      </NCollapseItem>
    </NCollapse>
  </div>
</template>

<style scoped>
.says {
  max-width: 760px;
}
.search {
  max-width: 320px;
  margin-bottom: 10px;
}
.routes {
  max-width: 980px;
}
.about {
  margin: 0 10px;
}
code {
  overflow-wrap: anywhere;
}
h3 {
  margin: 8px 0 2px;
  font-size: 13px;
}
</style>
