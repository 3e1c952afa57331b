<template><main></main></template>
