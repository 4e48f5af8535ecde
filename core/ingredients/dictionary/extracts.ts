import { table } from '../table.ts';

/** Plant and other extracts: usually a fraction of a per cent; few change how hair behaves. */
export const extracts = table(
  {
    group: 'extract',
    origin:
      'Botanical names. What an extract does at the share a label allows is seldom known; only clear effects are marked.',
    base: 'extract',
  },
  `
Camellia Sinensis Leaf Extract | extract | Green Tea Extract
Rosmarinus Officinalis Leaf Extract | extract | Rosemary Extract; Rosmarinus Officinalis Extract
Urtica Dioica Extract | extract | Nettle Extract; Urtica Dioica Leaf Extract
Equisetum Arvense Extract | extract | Horsetail Extract; Equisetum Arvense Leaf Extract
Chamomilla Recutita Flower Extract | extract | Chamomile Extract; Matricaria Extract
Anthemis Nobilis Flower Extract | extract |
Calendula Officinalis Flower Extract | extract | Calendula Extract; Marigold Extract
Lavandula Angustifolia Extract | extract alg | Lavender Extract
Hibiscus Sabdariffa Flower Extract | extract acid | Hibiscus Extract
Hibiscus Rosa-Sinensis Flower Extract | extract |
Althaea Officinalis Root Extract | extract gum film=1 | Marshmallow Root Extract
Ulmus Fulva Bark Extract | extract gum film=1 | Slippery Elm Extract; Ulmus Rubra Bark Extract
Arctium Lappa Root Extract | extract | Burdock Extract; Arctium Majus Root Extract
Symphytum Officinale Leaf Extract | extract | Comfrey Extract
Salvia Officinalis Leaf Extract | extract | Sage Extract
Thymus Vulgaris Extract | extract | Thyme Extract
Mentha Piperita Leaf Extract | extract | Peppermint Extract
Melissa Officinalis Leaf Extract | extract |
Ocimum Sanctum Leaf Extract | extract | Tulsi Extract
Ocimum Basilicum Extract | extract |
Origanum Vulgare Leaf Extract | extract |
Achillea Millefolium Extract | extract | Yarrow Extract
Hypericum Perforatum Extract | extract |
Tilia Cordata Flower Extract | extract | Linden Extract
Sambucus Nigra Flower Extract | extract |
Humulus Lupulus Extract | extract | Hops Extract
Betula Alba Leaf Extract | extract | Birch Extract
Salix Alba Bark Extract | extract | Willow Bark Extract; Salix Nigra Bark Extract
Quercus Robur Bark Extract | extract |
Hamamelis Virginiana Water | extract | Witch Hazel; Hamamelis Virginiana Distillate; Witch Hazel Water
Hamamelis Virginiana Leaf Extract | extract |
Panax Ginseng Root Extract | extract | Ginseng Extract
Ginkgo Biloba Leaf Extract | extract |
Centella Asiatica Extract | extract | Gotu Kola Extract
Bacopa Monniera Extract | extract | Brahmi
Eclipta Prostrata Extract | extract | Bhringraj; Eclipta Alba Extract
Phyllanthus Emblica Fruit Extract | extract | Amla Extract; Emblica Officinalis Fruit Extract
Lawsonia Inermis Extract | extract dyes | Henna Extract; Lawsonia Inermis Leaf Extract
Azadirachta Indica Leaf Extract | extract | Neem Extract; Melia Azadirachta Leaf Extract
Withania Somnifera Root Extract | extract | Ashwagandha Extract
Curcuma Longa Root Extract | extract | Turmeric Extract
Zingiber Officinale Root Extract | extract | Ginger Extract
Trigonella Foenum-Graecum Leaf Extract | extract |
Moringa Oleifera Leaf Extract | extract |
Adansonia Digitata Fruit Extract | extract |
Aspalathus Linearis Leaf Extract | extract | Rooibos Extract
Harpagophytum Procumbens Root Extract | extract |
Aframomum Melegueta Seed Extract | extract |
Prunus Amygdalus Dulcis Seed Extract | extract |
Prunus Persica Fruit Extract | extract |
Prunus Serotina Bark Extract | extract |
Prunus Armeniaca Fruit Extract | extract |
Pyrus Malus Fruit Extract | extract | Apple Extract; Apple Fruit Extract
Pyrus Communis Fruit Extract | extract |
Vitis Vinifera Fruit Extract | extract | Grape Extract
Citrus Limon Fruit Extract | extract acid | Lemon Extract; Citrus Limon Juice
Citrus Aurantium Dulcis Fruit Extract | extract | Orange Extract
Citrus Paradisi Fruit Extract | extract |
Citrus Reticulata Fruit Extract | extract |
Ananas Sativus Fruit Extract | extract | Pineapple Extract
Carica Papaya Fruit Extract | extract | Papaya Extract
Mangifera Indica Fruit Extract | extract | Mango Extract
Musa Sapientum Fruit Extract | extract hum=1 | Banana Extract; Musa Paradisiaca Fruit Extract
Persea Gratissima Fruit Extract | extract | Avocado Extract
Cucumis Sativus Fruit Extract | extract | Cucumber Extract
Cucumis Melo Fruit Extract | extract | Melon Extract
Citrullus Lanatus Fruit Extract | extract |
Punica Granatum Fruit Extract | extract | Pomegranate Extract
Rubus Idaeus Fruit Extract | extract | Raspberry Extract
Rubus Fruticosus Fruit Extract | extract |
Fragaria Vesca Fruit Extract | extract | Strawberry Extract
Vaccinium Myrtillus Fruit Extract | extract | Bilberry Extract; Blueberry Extract
Vaccinium Macrocarpon Fruit Extract | extract | Cranberry Extract
Ribes Nigrum Fruit Extract | extract |
Euterpe Oleracea Fruit Extract | extract | Acai Extract
Lycium Barbarum Fruit Extract | extract | Goji Extract
Malpighia Glabra Fruit Extract | extract | Acerola Extract
Psidium Guajava Fruit Extract | extract |
Passiflora Edulis Fruit Extract | extract |
Litchi Chinensis Fruit Extract | extract |
Actinidia Chinensis Fruit Extract | extract | Kiwi Extract
Ficus Carica Fruit Extract | extract hum=1 | Fig Extract
Phoenix Dactylifera Fruit Extract | extract hum=1 | Date Extract
Opuntia Ficus-Indica Stem Extract | extract hum=1 | Prickly Pear Extract; Cactus Extract
Opuntia Tuna Fruit Extract | extract |
Olea Europaea Leaf Extract | extract |
Argania Spinosa Leaf Extract | extract |
Helianthus Annuus Seed Extract | extract uv |
Glycine Soja Seed Extract | extract |
Hordeum Vulgare Extract | extract | Barley Extract
Avena Sativa Kernel Extract | extract film=1 | Oat Extract; Avena Sativa Extract
Avena Sativa Kernel Flour | extract film=1 protein=oat/large | Colloidal Oatmeal; Oat Flour
Oryza Sativa Extract | extract | Rice Extract
Oryza Sativa Water | extract film=1 | Rice Water; Rice Ferment Filtrate
Chenopodium Quinoa Seed Extract | extract |
Triticum Vulgare Germ Extract | extract |
Triticum Vulgare Bran Extract | extract |
Medicago Sativa Extract | extract | Alfalfa Extract
Daucus Carota Sativa Root Extract | extract | Carrot Extract
Solanum Lycopersicum Fruit Extract | extract | Tomato Extract
Allium Cepa Bulb Extract | extract | Onion Extract
Allium Sativum Bulb Extract | extract | Garlic Extract
Capsicum Annuum Fruit Extract | extract cool | Cayenne Extract; Capsicum Frutescens Fruit Extract
Piper Nigrum Seed Extract | extract |
Coffea Arabica Seed Extract | extract | Coffee Extract
Theobroma Cacao Extract | extract |
Paullinia Cupana Seed Extract | extract | Guarana Extract
Ilex Paraguariensis Leaf Extract | extract | Yerba Mate Extract
Caffeine | extract |
Cocos Nucifera Water | extract hum=1 | Coconut Water
Bambusa Vulgaris Extract | extract | Bamboo Extract; Bambusa Arundinacea Stem Extract
Nelumbo Nucifera Flower Extract | extract | Lotus Extract; Nelumbium Speciosum Flower Extract
Nymphaea Alba Flower Extract | extract |
Rosa Damascena Flower Water | extract | Rose Water; Rosa Centifolia Flower Water
Rosa Centifolia Flower Extract | extract |
Rosa Canina Fruit Extract | extract | Rosehip Extract
Jasminum Officinale Extract | extract |
Gardenia Taitensis Flower Extract | extract | Tiare Extract; Monoi
Plumeria Alba Flower Extract | extract |
Orchis Mascula Flower Extract | extract | Orchid Extract
Paeonia Suffruticosa Root Extract | extract |
Magnolia Officinalis Bark Extract | extract |
Lilium Candidum Bulb Extract | extract |
Malva Sylvestris Extract | extract gum | Mallow Extract
Viola Tricolor Extract | extract |
Tussilago Farfara Flower Extract | extract | Coltsfoot Extract
Tropaeolum Majus Extract | extract | Nasturtium Extract
Nasturtium Officinale Extract | extract | Watercress Extract
Taraxacum Officinale Extract | extract | Dandelion Extract
Cynara Scolymus Leaf Extract | extract | Artichoke Extract
Silybum Marianum Extract | extract |
Glycyrrhiza Glabra Root Extract | extract | Licorice Extract
Dipotassium Glycyrrhizate | extract |
Polygonum Multiflorum Root Extract | extract | Fo-Ti Extract
Angelica Archangelica Root Extract | extract |
Cinchona Succirubra Bark Extract | extract |
Serenoa Serrulata Fruit Extract | extract | Saw Palmetto Extract
Pinus Sylvestris Bark Extract | extract |
Cedrus Deodara Wood Extract | extract |
Juniperus Communis Fruit Extract | extract |
Eucalyptus Globulus Leaf Extract | extract |
Macrocystis Pyrifera Extract | extract gum | Sea Kelp Extract; Giant Kelp Extract
Laminaria Digitata Extract | extract gum film=1 | Kelp Extract
Laminaria Saccharina Extract | extract gum |
Fucus Vesiculosus Extract | extract gum | Bladderwrack Extract
Ascophyllum Nodosum Extract | extract gum |
Chondrus Crispus Extract | extract gum film=1 | Irish Moss Extract; Sea Moss Extract
Gelidium Cartilagineum Extract | extract gum |
Palmaria Palmata Extract | extract |
Ulva Lactuca Extract | extract |
Undaria Pinnatifida Extract | extract |
Algae Extract | extract gum | Seaweed Extract
Spirulina Platensis Extract | extract | Spirulina Extract; Arthrospira Platensis Extract
Chlorella Vulgaris Extract | extract |
Propolis Extract | extract |
Royal Jelly Extract | extract protein=royal/large |
Saccharomyces Ferment | extract |
Saccharomyces Cerevisiae Extract | extract protein=yeast/medium | Yeast Extract
Lactobacillus Ferment Lysate | extract |
Bifida Ferment Lysate | extract |
Galactomyces Ferment Filtrate | extract |
Wine Extract | extract |
Beer | extract | Cerevisia
Acetum | acid | Vinegar; Apple Cider Vinegar
Caviar Extract | extract |
Snail Secretion Filtrate | extract |
Hydrolyzed Placental Protein | extract protein=placenta/medium |
Pearl Powder | extract |
Sea Salt Extract | extract |
Hydrolyzed Linseed Extract | extract film=1 |
Alpinia Galanga Leaf Extract | extract |
Tamarindus Indica Seed Gum | gum hum=1 film=1 | Tamarind Seed Extract
Cyamopsis Tetragonoloba Seed Extract | extract gum |
Crithmum Maritimum Extract | extract |
Vanilla Planifolia Fruit Extract | extract scent |
Lawsonia Inermis Leaf Powder | extract dyes | Henna; Henna Powder
Indigofera Tinctoria Leaf Powder | extract dyes | Indigo; Indigo Powder; Indigofera Tinctoria Leaf
Indigofera Tinctoria Leaf Extract | extract dyes |
Cassia Obovata Leaf Powder | extract dyes | Cassia Italica Leaf Powder; Cassia Auriculata Leaf Powder
Trifolium Pratense Flower Extract | extract | Red Clover Extract
Bambusa Vulgaris Leaf/Stem Extract | extract |
Moringa Oleifera Seed Extract | extract |
Styrax Benzoin Resin Extract | extract scent |
Jasminum Grandiflorum Flower Extract | extract alg | Jasmine Absolute
Lavandula Angustifolia Flower Extract | extract alg |
`,
);
