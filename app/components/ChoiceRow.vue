<script setup lang="ts" generic="T extends string | number">
/** A few answers side by side, one of them chosen. Works like radio buttons. */
defineProps<{
  modelValue: T
  label: string
  values: readonly { value: T; label: string; more?: string; when?: string }[]
}>()
const emit = defineEmits<{ 'update:modelValue': [T] }>()
const name = useId()
</script>

<template>
  <div class="answers" role="radiogroup" :aria-label="label">
    <label v-for="v in values" :key="v.value" :class="{ on: v.value === modelValue }" :title="v.when">
      <input
        type="radio"
        :name="name"
        :value="v.value"
        :checked="v.value === modelValue"
        @change="emit('update:modelValue', v.value)"
      />
      <span>{{ v.label }}</span>
      <small v-if="v.more"><LengthText :text="v.more" /></small>
    </label>
  </div>
</template>

<style scoped>
.answers {
  display: flex;
  border: 1px solid var(--rule);
  border-radius: 3px;
  background: var(--paper);
  overflow: hidden;
}
label {
  flex: 1;
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  min-height: 30px;
  padding: 2px 6px;
  text-align: center;
  line-height: 1.15;
  cursor: pointer;
  border-left: 1px solid var(--rule);
  font-size: 0.92rem;
}
label:first-child {
  border-left: 0;
}
input {
  position: absolute;
  opacity: 0;
  pointer-events: none;
}
.on {
  background: var(--sheet);
  box-shadow: inset 0 -2.5px 0 var(--chalk);
  font-weight: 600;
}
label:focus-within {
  outline: 2px solid var(--chalk);
  outline-offset: -2px;
}
small {
  color: var(--pencil);
  font-weight: 400;
}
</style>
