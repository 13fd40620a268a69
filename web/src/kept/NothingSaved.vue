<script setup lang="ts">
import { t } from '../text'

/** Why the list of what is saved is empty, and where something is saved. */
defineProps<{
  find: string
  archived: boolean
  which: 'all' | 'rings' | 'findings' | 'chains'
}>()
</script>

<template>
  <p class="empty" data-test="empty">
    <template v-if="find">{{ t('kept-view-nothing-saved-has-in', { find }) }}</template>
    <template v-else-if="archived">{{ t('kept-view-nothing-archived') }}</template>
    <template v-else-if="which === 'chains'">
      {{ t('kept-view-no-chain-saved-yet-plan')
      }}<router-link to="/chains">{{ t('kept-view-chains') }}</router-link
      >{{ t('kept-view-press-save-there') }}
    </template>
    <template v-else-if="which === 'findings'">
      {{ t('kept-view-no-finding-saved-yet-open')
      }}<router-link to="/findings">{{ t('kept-view-findings') }}</router-link
      >{{ t('kept-view-change-as-you-like-press') }}
    </template>
    <template v-else>
      {{ t('kept-view-nothing-saved-yet')
      }}<router-link to="/rings">{{ t('kept-view-plan-some-rings') }}</router-link
      >{{ t('kept-view-press-save-plan-listed-here') }}
    </template>
  </p>
</template>
