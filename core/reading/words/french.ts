import { phrases } from '../../text/phrases'
import type { LanguageWords } from './languageWords'

export const french: LanguageWords = {
  months: [
    ['janvier', 'janv', 'jan'],
    ['fevrier', 'fevr', 'fev'],
    ['mars'],
    ['avril', 'avr'],
    ['mai'],
    ['juin'],
    ['juillet', 'juil', 'juill'],
    ['aout'],
    ['septembre', 'sept', 'sep'],
    ['octobre', 'oct'],
    ['novembre', 'nov'],
    ['decembre', 'dec'],
  ],
  today: ["aujourd'hui", 'aujourdhui', 'aujourd hui'],
  yesterday: ['hier'],
  ago: ['il y a'],
  units: {
    hour: ['heures', 'heure', 'minutes', 'minute'],
    day: ['jours', 'jour', 'j'],
    week: ['semaines', 'semaine', 'sem'],
    month: ['mois'],
    year: ['ans', 'an', 'annees'],
  },
  besideDate: phrases(`
    le, a, date, termine, terminee, fin, publie, lundi, mardi, mercredi, jeudi, vendredi, samedi, dimanche,
    lun, mar, mer, jeu, ven, sam, dim, heure, en, un, une, vente, vente terminee
  `),
  sold: ['vendu', 'vendue', 'vendu le', 'vendue le', 'objet vendu', 'vendu pour', 'adjuge', 'vendus'],
  shipping: phrases(`
    livraison, port, frais de port, envoi, frais de livraison, expedition, frais d'envoi, frais denvoi, fdp
  `),
  freeShipping: phrases(`
    livraison gratuite, fdpin, fdp in, port offert, envoi gratuit, frais de port inclus, livraison offerte, port gratuit,
    fdp inclus, port inclus, livraison incluse, envoi offert, fdp offerts, frais de port offerts,
    expedition gratuite, port compris
  `),
  pickup: phrases(`
    cueillette, cueillette seulement, remise en main propre, retire sur place, main propre,
    retrait sur place, a retirer sur place, retrait uniquement, retrait en main propre,
    en main propre, remise en mains propres
  `),
  importCharges: phrases(`
    frais d importation, droits de douane, douane, protection acheteurs, tva, frais dimportation,
    protection acheteur
  `),
  besidePrice: phrases(`
    prix, pour, a, euros, euro, prix ferme, ferme, negociable, a debattre, seulement, total, prix final,
    maintenant, ou offre, de, vendu, offre directe, ou offre directe, prix:, enchere gagnante, adjuge,
    dollars, achat immediat
  `),
  notThePrice: phrases(`
    prix neuf, protection acheteur, frais de service, neuf a, au lieu de, etait, environ,
    a partir de, par mois, avant, paye, achete, valeur, prix conseille, prix de depart, mise a prix,
    ancien prix, prix dorigine
  `),
  nowPrice: [
    'maintenant',
    'prix paye',
    'vendu',
    'vendue',
    'prix final',
    'baisse a',
    'vendu pour',
    'desormais',
  ],
  hiddenPrice: phrases(`
    offre acceptee, offre directe acceptee, prix sur demande, faire offre, meilleure offre acceptee
  `),
  each: ['chacun', 'chacune', 'piece', 'la piece', "l'unite", 'lunite', 'par piece'],
  auction: ['encheres', 'dencheres', 'enchere', 'offres', 'adjuge'],
  fixedPrice: phrases(`
    achat immediat, prix fixe, ou offre directe, offre directe, achat direct, ou offre
  `),
  state: {
    new: phrases(`
      neuf, neuve, neuf sous blister, neuf avec emballage, neuf avec etiquette, jamais utilise,
      neuf emballe, scelle, neuf scelle, sous blister, jamais servi, flambant neuf, tout neuf,
      neuf jamais utilise
    `),
    opened: phrases(`
      ouvert, ouverte, neuf autre, neuf : autre, neuf (autre), deballe, boite ouverte, jamais montee,
      jamais monte, neuf deballe, neuf ouvert
    `),
    refurbished: phrases(`
      reconditionne, reconditionnee, remis a neuf, reconditionne par le vendeur, remise a neuf
    `),
    used: phrases(`
      occasion, bon, tres bon, parfait, d'occasion, doccasion, comme neuf, comme neuve, tres bon etat, bon etat, etat neuf,
      etat correct, teste, fonctionne, fonctionnel, parfait etat, excellent etat, utilise, etat moyen,
      satisfaisant, fonctionne parfaitement, d occasion, en bon etat, bon etat general, testee,
      fonctionnelle
    `),
    damaged: phrases(`
      hs, hors service, a reparer, plus de signal, pas d image, pour reparation, pour pieces,
      en panne, defectueux, defectueuse, casse, cassee, ne fonctionne pas, ne fonctionne plus,
      a reparer, non teste, pour piece, pieces detachees, pour pieces detachees, ne demarre pas,
      ne demarre plus, abime, endommage, pour pieces ou ne fonctionne pas, pas teste, ecran noir,
      non fonctionnel, pieces ou reparation, mort, morte, non testee, pour reparation, panne,
      ne sallume pas, ne sallume plus, artefacts, artefact, gresille, brule, brulee, oxyde,
      surchauffe, plante, instable, pas testee, abimee, endommagee, a tester, pins tordus,
      pins tordues, broches tordues, fissure, probleme, problemes, sans affichage, pas daffichage,
      naffiche rien, secteurs defectueux, bruyant hs, pour bricoleur, a reviser, ventilateur hs,
      incomplet, ne marche pas, ne marche plus, etat inconnu, a revoir, pin manquant,
      ventilateur casse, ventilateur bloque, non reconnu, non reconnue, pas reconnu, pas reconnue,
      pas detecte, non detecte, non detectee, plantages, plantage, lignes a l ecran,
      lignes sur l ecran, en l etat, tel quel, s eteint, s eteint tout seul, redemarre seul,
      ne s allume plus, ne s allume pas, n affiche rien, bios bloque, qui frotte, frotte, clignote,
      sortie morte, port mort, chauffe trop, bruit de roulement, pin en moins, patte en moins,
      fait du bruit, grille, grillee, etincelles, redemarre, en l etat, mot de passe bios,
      verrouille, verrouillee, fuit, ecran bleu, ecrans bleus
    `),
  },
  denies: ['sans', 'pas', 'aucun', 'aucune', 'jamais', 'ni', 'non'],
  putRight: ['repare', 'reparee', 'redresse', 'redressees', 'remplace', 'corrige'],
  aboutSeller: phrases(`
    de, vendu par, vendue par, provenance, vendeur, lieu, localisation, situe, numero, provenance de, depuis, par, situe a
  `),
  pageNoise: phrases(`
    sponsorise, annonce, voir plus, details, resultats, suivre, nouvelle annonce, retours gratuits, filtrer,
    trier, voir la description, voir description, objets vendus, plus, annonces, particulier, professionnel, pro,
    vendeur particulier, vendeur professionnel, terminee, termine, objets similaires, page,
    la page s ouvre dans une nouvelle fenetre ou un nouvel onglet, s ouvre dans une nouvelle fenetre, evaluations
  `),
  shopPage: phrases(`
    ajouter au panier, en stock, rupture de stock, avis, disponible, indisponible, expedie sous,
    livre demain
  `),
  asked: phrases(`
    publie, mis en ligne, negociable, a debattre, a vendre, prix ferme
  `),
  scoreColumn: ['points', 'resultat', 'resultats', 'indice'],
  wanted: phrases(`
    cherche, recherche, je cherche, achete, echange, je recherche, contre, achat de, echange contre, rachat
  `),
  machine: phrases(`
    ordinateur, pc gamer, pc complet, pc portable, ordinateur portable, tour complete, pc fixe,
    unite centrale, pc bureau, pc de bureau, mini pc, tour gamer, pc gaming
  `),
  includes: ['avec', 'inclus', 'fourni', 'fournie', 'comprenant'],
  joins: ['et', 'avec', 'plus'],
  forThe: ['pour', 'compatible', 'compatible avec'],
  choice: ['ou', 'au choix', 'choix', 'choisir', 'divers', 'plusieurs'],
}
