/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** What keeps a page from being shown. */
    problem?: import('./server/problem').Problem;
  }
}
