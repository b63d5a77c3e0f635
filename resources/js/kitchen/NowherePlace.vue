<template>
    <div class="place place--narrow">
        <header class="place__head"><h1>There is nothing at this address</h1></header>
        <p>
            What lay here may have been taken away: look in <router-link to="/cupboard/trash">the trash</router-link>, or go back to
            <router-link to="/bench">the bench</router-link>.
        </p>
    </div>
</template>
