import type { Routes } from '@angular/router';
import { leaveSaved } from './leave-saved';
import { newJobRoute, runRoute } from './shortcut-routes';

export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'jobs' },
  { path: 'new', canActivate: [newJobRoute], children: [] },
  { path: 'run', canActivate: [runRoute], children: [] },
  {
    path: 'jobs',
    title: 'Jobs · Esmero',
    loadComponent: () => import('../features/jobs/jobs.page').then((m) => m.JobsPage),
  },
  {
    path: 'day',
    title: 'Day · Esmero',
    loadComponent: () => import('../features/day/day.page').then((m) => m.DayPage),
  },
  {
    path: 'lots',
    title: 'Lots · Esmero',
    loadComponent: () => import('../features/lot/lot.page').then((m) => m.LotPage),
  },
  {
    path: 'library/:kind',
    title: 'Library · Esmero',
    loadComponent: () => import('../features/library/library.page').then((m) => m.LibraryPage),
  },
  {
    path: 'stock',
    title: 'Van · Esmero',
    loadComponent: () => import('../features/stock/stock.page').then((m) => m.StockPage),
  },
  {
    path: 'log',
    title: 'Log · Esmero',
    loadComponent: () => import('../features/log/log.page').then((m) => m.LogPage),
  },
  {
    path: 'clients',
    title: 'Clients · Esmero',
    loadComponent: () => import('../features/clients/clients.page').then((m) => m.ClientsPage),
  },
  {
    path: 'clients/:id',
    title: 'Client · Esmero',
    loadComponent: () => import('../features/clients/client.page').then((m) => m.ClientPage),
  },
  {
    path: 'import',
    title: 'Import · Esmero',
    loadComponent: () => import('../features/jobs/import.page').then((m) => m.ImportPage),
  },
  {
    path: 'crew/:code',
    title: 'Joining · Esmero',
    loadComponent: () => import('../features/run/crew.page').then((m) => m.CrewPage),
  },
  {
    path: 'practice',
    title: 'Practice · Esmero',
    loadComponent: () => import('../features/practice/practice.page').then((m) => m.PracticePage),
  },
  {
    path: 'prices',
    title: 'Prices · Esmero',
    loadComponent: () => import('../features/prices/prices.page').then((m) => m.PricesPage),
  },
  {
    path: 'more',
    title: 'More · Esmero',
    loadComponent: () => import('./more.page').then((m) => m.MorePage),
  },
  {
    path: 'settings',
    title: 'Settings · Esmero',
    loadComponent: () => import('../features/settings/settings.page').then((m) => m.SettingsPage),
  },
  {
    path: 'help',
    title: 'Help · Esmero',
    loadComponent: () => import('../features/help/help.page').then((m) => m.HelpPage),
  },
  {
    path: 'bench',
    title: 'Mixing · Esmero',
    loadComponent: () => import('../features/bench/bench.page').then((m) => m.BenchPage),
  },
  {
    path: 'job/:id',
    canDeactivate: [leaveSaved],
    loadComponent: () => import('./workspace.component').then((m) => m.WorkspaceComponent),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'site' },
      {
        path: 'site',
        title: 'Site · Esmero',
        loadComponent: () => import('../features/site/site.stage').then((m) => m.SiteStage),
      },
      {
        path: 'walk-round',
        title: 'Walk-round · Esmero',
        loadComponent: () => import('../features/walk-round/walk-round.stage').then((m) => m.WalkRoundStage),
      },
      {
        path: 'method',
        title: 'Method · Esmero',
        loadComponent: () => import('../features/method/method.stage').then((m) => m.MethodStage),
      },
      {
        path: 'price',
        title: 'Price · Esmero',
        loadComponent: () => import('../features/price/price.stage').then((m) => m.PriceStage),
      },
      {
        path: 'mix',
        title: 'Mix · Esmero',
        loadComponent: () => import('../features/mix/mix.stage').then((m) => m.MixStage),
      },
      {
        path: 'towels',
        title: 'Towels · Esmero',
        loadComponent: () => import('../features/towels/towels.stage').then((m) => m.TowelsStage),
      },
      {
        path: 'order',
        title: 'Work order · Esmero',
        loadComponent: () => import('../features/work-order/work-order.stage').then((m) => m.WorkOrderStage),
      },
      {
        path: 'run',
        title: 'Run · Esmero',
        loadComponent: () => import('../features/run/run.stage').then((m) => m.RunStage),
      },
      {
        path: 'handover',
        title: 'Handover · Esmero',
        loadComponent: () => import('../features/handover/handover.stage').then((m) => m.HandoverStage),
      },
    ],
  },
  { path: '**', redirectTo: 'jobs' },
];
