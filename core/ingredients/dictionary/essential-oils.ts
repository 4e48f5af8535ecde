import { table } from '../table.ts';

/** Essential oils: scent with allergens of their own; not for children without a professional's word. */
export const essentialOils = table(
  {
    group: 'essential oil',
    origin: 'Botanical names; those named in Annex III as widened by (EU) 2023/1545 carry "alg"; unchecked.',
    base: 'ess',
  },
  `
Lavandula Angustifolia Oil | ess alg | Lavender Oil; Lavandula Officinalis Oil; Lavandula Angustifolia Flower Oil
Lavandula Hybrida Oil | ess alg | Lavandin Oil
Lavandula Intermedia Oil | ess alg |
Mentha Piperita Oil | ess alg cool | Peppermint Oil
Mentha Viridis Leaf Oil | ess alg cool | Spearmint Oil; Mentha Spicata Oil
Mentha Arvensis Leaf Oil | ess cool | Cornmint Oil
Eucalyptus Globulus Leaf Oil | ess alg cool | Eucalyptus Oil
Eucalyptus Citriodora Oil | ess |
Rosmarinus Officinalis Leaf Oil | ess | Rosemary Oil; Rosmarinus Officinalis Oil
Melaleuca Alternifolia Leaf Oil | ess | Tea Tree Oil
Citrus Limon Peel Oil | ess alg | Lemon Oil; Lemon Peel Oil
Citrus Aurantium Dulcis Peel Oil | ess alg | Orange Oil; Sweet Orange Oil; Citrus Sinensis Peel Oil
Citrus Aurantium Amara Flower Oil | ess alg | Neroli Oil
Citrus Aurantium Amara Peel Oil | ess alg |
Citrus Aurantium Bergamia Peel Oil | ess alg | Bergamot Oil; Citrus Aurantium Bergamia Fruit Oil
Citrus Paradisi Peel Oil | ess | Grapefruit Oil; Citrus Grandis Peel Oil
Citrus Aurantifolia Oil | ess | Lime Oil
Citrus Reticulata Peel Oil | ess | Mandarin Oil; Citrus Nobilis Peel Oil
Citrus Tangerina Peel Oil | ess |
Citrus Medica Vulgaris Peel Oil | ess |
Litsea Cubeba Fruit Oil | ess | May Chang Oil
Cymbopogon Flexuosus Oil | ess alg | Lemongrass Oil
Cymbopogon Schoenanthus Oil | ess alg |
Cymbopogon Citratus Leaf Oil | ess alg |
Cymbopogon Martini Oil | ess | Palmarosa Oil
Cymbopogon Nardus Oil | ess | Citronella Oil
Pelargonium Graveolens Flower Oil | ess alg | Geranium Oil; Pelargonium Graveolens Oil
Rosa Damascena Flower Oil | ess alg | Rose Oil
Rosa Centifolia Flower Oil | ess alg |
Jasminum Officinale Oil | ess alg | Jasmine Oil
Cananga Odorata Flower Oil | ess alg | Ylang Ylang Oil
Pogostemon Cablin Oil | ess alg | Patchouli Oil
Santalum Album Oil | ess alg | Sandalwood Oil
Amyris Balsamifera Bark Oil | ess |
Cedrus Atlantica Bark Oil | ess alg | Cedarwood Oil; Cedrus Atlantica Oil
Juniperus Virginiana Oil | ess alg |
Juniperus Communis Fruit Oil | ess | Juniper Oil
Cupressus Sempervirens Leaf Oil | ess | Cypress Oil
Pinus Sylvestris Leaf Oil | ess | Pine Oil
Pinus Mugo Leaf Oil | ess alg |
Pinus Pumila Needle Oil | ess alg |
Abies Sibirica Oil | ess | Fir Needle Oil
Salvia Sclarea Oil | ess | Clary Sage Oil
Salvia Officinalis Oil | ess | Sage Oil
Thymus Vulgaris Oil | ess | Thyme Oil
Origanum Vulgare Leaf Oil | ess |
Origanum Majorana Leaf Oil | ess |
Ocimum Basilicum Oil | ess | Basil Oil
Eugenia Caryophyllus Leaf Oil | ess alg | Clove Oil; Eugenia Caryophyllus Bud Oil; Eugenia Caryophyllus Flower Oil
Cinnamomum Zeylanicum Bark Oil | ess alg | Cinnamon Oil
Cinnamomum Cassia Leaf Oil | ess alg |
Cinnamomum Camphora Bark Oil | ess |
Laurus Nobilis Leaf Oil | ess alg | Bay Laurel Oil
Pimenta Acris Leaf Oil | ess | Bay Oil; West Indian Bay Oil
Zingiber Officinale Root Oil | ess | Ginger Oil
Piper Nigrum Fruit Oil | ess |
Elettaria Cardamomum Seed Oil | ess |
Foeniculum Vulgare Oil | ess | Fennel Oil
Pimpinella Anisum Fruit Oil | ess | Anise Oil
Illicium Verum Fruit Oil | ess | Star Anise Oil
Coriandrum Sativum Fruit Oil | ess | Coriander Oil
Carum Carvi Fruit Oil | ess |
Cuminum Cyminum Seed Oil | ess |
Anthemis Nobilis Flower Oil | ess | Roman Chamomile Oil
Chamomilla Recutita Flower Oil | ess | German Chamomile Oil
Achillea Millefolium Oil | ess |
Helichrysum Italicum Flower Oil | ess |
Boswellia Carterii Oil | ess | Frankincense Oil; Boswellia Serrata Oil
Commiphora Myrrha Oil | ess | Myrrh Oil
Myroxylon Pereirae Oil | ess alg | Balsam Peru Oil
Vetiveria Zizanoides Root Oil | ess | Vetiver Oil
Turpentine | ess alg |
Melissa Officinalis Leaf Oil | ess |
Myristica Fragrans Kernel Oil | ess | Nutmeg Oil
Ferula Galbaniflua Resin Oil | ess |
Narcissus Poeticus Flower Extract | ess alg |
Verbena Officinalis Leaf Oil | ess |
Lippia Citriodora Leaf Oil | ess |
Aniba Rosaeodora Wood Oil | ess | Rosewood Oil
Tanacetum Annuum Flower Oil | ess | Blue Tansy Oil
Leptospermum Scoparium Oil | ess | Manuka Oil
Melaleuca Leucadendron Cajaputi Leaf Oil | ess | Cajeput Oil
Melaleuca Viridiflora Leaf Oil | ess | Niaouli Oil
Ravensara Aromatica Leaf Oil | ess |
Vanilla Planifolia Fruit Oil | ess |
Citrus Aurantium Peel Oil | ess alg |
Citrus Aurantium Flower Oil | ess alg |
Lavandula Oil/Extract | ess alg |
Rose Flower Oil/Extract | ess alg |
Cananga Odorata Oil/Extract | ess alg |
Eugenia Caryophyllus Oil | ess alg |
Eucalyptus Globulus Oil | ess alg cool |
Lippia Citriodora Absolute | ess alg |
Narcissus Extract | ess alg |
Pinus Mugo | ess alg |
Pinus Pumila | ess alg |
Jasmine Oil/Extract | ess alg |
`,
);
