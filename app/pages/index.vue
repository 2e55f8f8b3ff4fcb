<template><v-btn>Hello</v-btn></template>
