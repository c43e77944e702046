<template>
  <div class="page">
    <h1>Nothing here</h1>
    <p class="quiet">This address leads nowhere. <RouterLink to="/roster">To the roster</RouterLink></p>
  </div>
</template>
