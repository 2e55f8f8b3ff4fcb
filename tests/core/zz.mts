import { usualShop } from '#core/shop/usual'
import { wallDesign } from '#core/wall/backing/wall-model'
import { newWall } from '#core/wall/wall'
import { benchSteps } from '#core/bench/steps/steps'
const shop = usualShop()
for (const holds of ['backed','framed','uprights','rack'] as const) {
  const d = wallDesign({ ...newWall('w','mm'), holds }, shop)
  console.log(holds, d.model?.boards.length, d.model?.fasteners.length, d.verdicts.map(v=>v.says).join(' | '))
  const strip = d.model?.boards.find(b=>b.role==='strip'); console.log(strip && d.model!.fasteners.filter(f=>f.through===strip.id||f.into===strip.id).length, shop.screws.map(s=>s.name).join())
  const steps = benchSteps({ model: d.model!, shop, cuts: [] }, 'w').steps.map(s=>s.title)
  console.log(steps.join('\n   ').slice(0,1500))
}
